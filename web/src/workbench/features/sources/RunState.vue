<script setup lang="ts">
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed } from 'vue'
import type { Sync } from '../../../shared/contract'
import { counted, formatNumber, formatTime } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { RUN_STATES } from './sourceKinds'
import SyncReportView from './SyncReportView.vue'

/** One run of a source: how far it is, what it asks, or what became of it. */
const { run } = defineProps<{ run: Sync; site: string; collection: string }>()
const emit = defineEmits<{ goOn: []; stop: [] }>()
const percent = computed(() => (run.known > 0 ? Math.round((run.read / run.known) * 100) : 0))
const progress = computed(() =>
  run.known > 0 ? `${formatNumber(run.read)} of ${formatNumber(run.known)} read` : `${formatNumber(run.read)} read`,
)
</script>

<template>
  <div class="head">
    <h2>{{ run.state === 'running' ? 'It runs' : `Run of ${formatTime(run.begun)}` }}</h2>
    <span class="state" :class="run.state">{{ RUN_STATES[run.state] }}</span>
  </div>
  <div v-if="run.state === 'running'" role="status" class="progress">
    <ProgressBar
      :mode="run.known > 0 ? 'determinate' : 'indeterminate'"
      :value="percent"
      :show-value="false"
      aria-label="Progress"
    />
    <p>{{ progress }}. Nothing is changed until all is read; visitors search on.</p>
  </div>
  <div v-else-if="run.state === 'asking'" class="remark" role="alert">
    <i class="pi pi-question-circle" aria-hidden="true" />
    <div>
      <p>
        <b>{{ run.report.problem }}</b>
        Nothing was changed yet. Should they go? For 30 days they can be put back under What happened.
      </p>
      <div class="line answers">
        <Button
          size="small"
          :label="`Remove ${counted(run.report.asks ?? 0, 'item')}`"
          severity="danger"
          @click="emit('goOn')"
        />
        <Button size="small" label="No, change nothing" severity="secondary" outlined @click="emit('stop')" />
      </div>
    </div>
  </div>
  <RemarkLine v-else-if="run.report.problem" :bad="run.state === 'failed'">{{ run.report.problem }}</RemarkLine>
  <SyncReportView v-if="run.state === 'done'" :report="run.report" :site="site" :collection="collection" />
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 12px;
}
.state {
  font-size: 12.5px;
  font-weight: 600;
  padding: 2px 10px;
  border-radius: 99px;
  background: var(--line);
}
.state.done {
  background: #e6f1ea;
  color: #225c3a;
}
.state.failed {
  background: var(--bad-wash);
  color: #84261d;
}
.state.asking,
.state.running {
  background: var(--lamp-wash);
  color: #6f4200;
}
.progress {
  display: grid;
  gap: 8px;
}
.answers {
  margin-top: 10px;
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import Select from 'primevue/select'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { SourceShape } from '../../../shared/contract'
import { counted, formatNumber, formatTime } from '../../kit/format'
import { api } from '../../ownerApi'
import LoadFailure from '../../kit/LoadFailure.vue'
import SyncReportView from './SyncReportView.vue'
import { useAttempt } from '../../kit/useAttempt'

const { site, source } = defineProps<{ site: string; source: number }>()
const router = useRouter()
const queries = useQueryClient()
const {
  data: here,
  error,
  refetch,
} = useQuery({ queryKey: ['source', () => source], queryFn: () => api.source(source), staleTime: 0 })
const { data: syncs, refetch: look } = useQuery({
  queryKey: ['syncs', () => source],
  queryFn: () => api.syncs(source),
  staleTime: 0,
  // While it runs, progress is asked for; a run is over in its own time.
  refetchInterval: query => (query.state.data?.[0]?.state === 'running' ? 700 : false),
})
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const collection = computed(() => collections.value?.find(one => one.key === here.value?.collection))
const { busy, wrong, attempt } = useAttempt()
const picked = ref<number | null>(null)
const sync = computed(() => syncs.value?.find(one => one.id === picked.value) ?? syncs.value?.[0] ?? null)
const running = computed(() => syncs.value?.[0]?.state === 'running')
watch(running, (now, was) => {
  if (was && !now) void queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'syncs' })
})

const run = () =>
  attempt(async () => {
    picked.value = null
    await api.runSource(source)
    await look()
  })
const stop = (id: number) =>
  attempt(async () => {
    await api.stopSync(id)
    await look()
  })
const goOn = (id: number) =>
  attempt(async () => {
    await api.goOn(id)
    await look()
  })
const asking = ref(false)
const remove = () =>
  attempt(async () => {
    await api.removeSource(source)
    await queries.invalidateQueries({ queryKey: ['sources'] })
    await router.push(`/${site}/content`)
  })
async function change(changed: Partial<Pick<SourceShape, 'schedule' | 'removesMissing'>>) {
  const now = here.value
  if (!now) return
  const { collection: into, name, settings, mapping, removesMissing, schedule } = now
  await attempt(async () => {
    await api.changeSource(source, { collection: into, name, settings, mapping, removesMissing, schedule, ...changed })
  })
  await refetch()
}
const kinds = { file: 'A file', feed: 'A feed', crawl: 'Pages of the site' }
const states = { running: 'Running', asking: 'Asks you', done: 'Done', failed: 'Failed', stopped: 'Stopped' }
const from = (settings: SourceShape['settings']) =>
  settings.kind === 'file' ? (settings.address ?? 'uploaded here') : settings.address
const schedules = [
  { value: 'never', label: 'Only by hand' },
  { value: 'hourly', label: 'Every hour' },
  { value: 'daily', label: 'Every day' },
  { value: 'weekly', label: 'Every week' },
]
const uploaded = computed(() => here.value?.settings.kind === 'file' && here.value.settings.upload !== null)
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/content`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      Content
    </RouterLink>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="here">
      <div class="page-head">
        <div>
          <h1>{{ here.name }}</h1>
          <p class="lead">
            {{ kinds[here.settings.kind] }}, {{ from(here.settings) }}, into
            <RouterLink :to="`/${site}/content/${here.collection}`">{{
              collection?.label ?? here.collection
            }}</RouterLink>.
          </p>
        </div>
        <div class="acts">
          <Button
            label="Change how it is read"
            severity="secondary"
            outlined
            @click="router.push(`/${site}/sources/${source}/change`)"
          />
          <Button
            v-if="!running"
            label="Run it now"
            icon="pi pi-refresh"
            :loading="busy"
            :disabled="sync?.state === 'asking'"
            @click="run"
          />
          <Button v-else label="Stop" icon="pi pi-stop" severity="secondary" outlined @click="stop(syncs![0]!.id)" />
        </div>
      </div>
      <p v-if="wrong" class="remark bad" role="alert">
        <i class="pi pi-exclamation-triangle" aria-hidden="true" />
        {{ wrong }}
      </p>
      <div class="columns">
        <section class="slip report" aria-label="Report">
          <template v-if="sync">
            <div class="head">
              <h2>{{ sync.state === 'running' ? 'It runs' : `Run of ${formatTime(sync.begun)}` }}</h2>
              <span class="state" :class="sync.state">{{ states[sync.state] }}</span>
            </div>
            <div v-if="sync.state === 'running'" role="status" class="progress">
              <ProgressBar
                :mode="sync.known > 0 ? 'determinate' : 'indeterminate'"
                :value="sync.known > 0 ? Math.round((sync.read / sync.known) * 100) : 0"
                :show-value="false"
                aria-label="Progress"
              />
              <p>
                {{
                  sync.known > 0
                    ? `${formatNumber(sync.read)} of ${formatNumber(sync.known)} read`
                    : `${formatNumber(sync.read)} read`
                }}. Nothing is changed until all is read; visitors search on.
              </p>
            </div>
            <div v-else-if="sync.state === 'asking'" class="remark question" role="alert">
              <i class="pi pi-question-circle" aria-hidden="true" />
              <div>
                <p>
                  <b>{{ sync.report.problem }}</b>
                  Nothing was changed yet. Should they go?
                </p>
                <div class="line">
                  <Button
                    size="small"
                    :label="`Remove ${counted(sync.report.asks ?? 0, 'item')}`"
                    severity="danger"
                    @click="goOn(sync.id)"
                  />
                  <Button
                    size="small"
                    label="No, change nothing"
                    severity="secondary"
                    outlined
                    @click="stop(sync.id)"
                  />
                </div>
              </div>
            </div>
            <p v-else-if="sync.report.problem" class="remark" :class="{ bad: sync.state === 'failed' }">
              <i
                class="pi"
                :class="sync.state === 'failed' ? 'pi-exclamation-triangle' : 'pi-info-circle'"
                aria-hidden="true"
              />
              {{ sync.report.problem }}
            </p>
            <SyncReportView
              v-if="sync.state === 'done'"
              :report="sync.report"
              :site="site"
              :collection="here.collection"
            />
          </template>
          <p v-else class="quiet">It has not run yet.</p>
        </section>
        <aside>
          <section class="slip side" aria-label="How it runs">
            <div class="field">
              <label for="schedule">Read again</label>
              <Select
                :model-value="here.schedule"
                input-id="schedule"
                :options="uploaded ? schedules.slice(0, 1) : schedules"
                option-label="label"
                option-value="value"
                @update:model-value="change({ schedule: $event })"
              />
              <small v-if="here.nextRun">Next at {{ formatTime(here.nextRun) }}</small>
              <small v-else-if="uploaded">An uploaded file does not change by itself.</small>
            </div>
            <div class="switch">
              <ToggleSwitch
                input-id="removes"
                :model-value="here.removesMissing"
                @update:model-value="change({ removesMissing: $event })"
              />
              <label for="removes">Remove items that it no longer has</label>
            </div>
          </section>
          <section v-if="syncs && syncs.length > 0" class="slip side" aria-label="Runs">
            <h2>Runs</h2>
            <ul class="runs">
              <li v-for="one in syncs.slice(0, 12)" :key="one.id">
                <button type="button" :aria-current="sync?.id === one.id ? 'true' : undefined" @click="picked = one.id">
                  <span>{{ formatTime(one.begun) }}</span>
                  <span class="quiet">
                    {{ states[one.state]
                    }}<template v-if="one.state === 'done'"
                      >, {{ counted(one.report.added + one.report.changed + one.report.removed, 'change') }}
                    </template>
                  </span>
                </button>
              </li>
            </ul>
          </section>
          <section class="slip side" aria-label="Take it away">
            <p v-if="!asking" class="quiet">Its items stay when the source is taken away.</p>
            <Button
              v-if="!asking"
              label="Take this source away"
              text
              size="small"
              severity="danger"
              @click="asking = true"
            />
            <template v-else>
              <p>Take “{{ here.name }}” away? Its items stay, and are not brought up to date any more.</p>
              <div class="line">
                <Button label="Take it away" size="small" severity="danger" @click="remove" />
                <Button label="Keep it" size="small" severity="secondary" outlined @click="asking = false" />
              </div>
            </template>
          </section>
        </aside>
      </div>
    </template>
  </main>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 8px;
  flex-shrink: 0;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  gap: 16px;
  align-items: start;
}
.report {
  padding: 20px 24px;
  display: grid;
  gap: 14px;
}
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
.question .line {
  margin-top: 10px;
}
.line {
  display: flex;
  gap: 8px;
}
aside {
  display: grid;
  gap: 16px;
}
.side {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.side .field {
  width: 100%;
}
.switch {
  display: flex;
  gap: 10px;
  align-items: flex-start;
}
.runs {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
.runs button {
  display: grid;
  width: 100%;
  padding: 6px 8px;
  margin: 0 -8px;
  border: 0;
  border-radius: 6px;
  background: none;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
}
.runs button:hover {
  background: var(--leaf);
}
.runs [aria-current] {
  background: var(--sea-wash);
}
.runs span {
  font-size: 13px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
  .page-head {
    flex-wrap: wrap;
  }
}
</style>

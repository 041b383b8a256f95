<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Trial, TrialOutcome } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import TableFiles from '../../kit/TableFiles.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import TrialFigures from './TrialFigures.vue'
import TrialForm from './TrialForm.vue'
import TrialOutcomeRow from './TrialOutcomeRow.vue'
import { useTrials } from './trials'

/** Every trial with what draft and live version make of it, and figures over all. */
const { search } = defineProps<{ search: string }>()
const emit = defineEmits<{ ask: [query: string] }>()
const route = useRoute()
const { ran, error, refetch, failing, again } = useTrials(() => search)
const { busy, wrong, attempt } = useAttempt()

const EMPTY: Trial = { query: '', expects: 'within', collection: null, item: null, number: 3, suggestion: null }
const form = ref<{ id: number | null; trial: Trial; title: string | null } | null>(null)
watch(
  () => route.query.q,
  query => {
    if (typeof query === 'string') form.value = { id: null, trial: { ...EMPTY, query }, title: null }
  },
  { immediate: true },
)

const keep = (trial: Trial) =>
  attempt(async () => {
    const id = form.value?.id ?? null
    await (id === null ? api.addTrial(search, trial) : api.changeTrial(search, id, trial))
    form.value = null
    await again()
  })
const remove = (outcome: TrialOutcome) =>
  attempt(async () => {
    await api.removeTrial(search, outcome.id)
    await again()
  })
const said = ref('')
const readIn = (csv: string) =>
  attempt(async () => {
    said.value = ''
    const { added } = await api.addTrials(search, csv)
    said.value = added === 0 ? 'All of them are kept already.' : `${counted(added, 'trial')} added.`
    await again()
  })
const onlyFailing = ref(false)
const shown = computed(() => (onlyFailing.value ? failing.value : (ran.value?.outcomes ?? [])))
</script>

<template>
  <div class="head">
    <div>
      <h2>Trials</h2>
      <p class="lead">Queries that must go well. They are tried on every change, on the draft and on what is live.</p>
    </div>
    <Button
      label="New trial"
      icon="pi pi-plus"
      size="small"
      @click="form = { id: null, trial: { ...EMPTY }, title: null }"
    />
  </div>
  <LoadFailure v-if="error" :error="error" @again="refetch" />
  <TrialForm v-if="form" :search="search" :busy="busy" :given="form" @keep="keep" @cancel="form = null" />
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <template v-if="ran && ran.outcomes.length > 0">
    <TrialFigures :ran="ran" />
    <div v-if="failing.length > 0" class="line filter">
      <Button
        :label="onlyFailing ? 'Show all' : `Show the ${formatNumber(failing.length)} that fail`"
        size="small"
        severity="secondary"
        outlined
        @click="onlyFailing = !onlyFailing"
      />
    </div>
    <ul class="outcomes" aria-label="Trials">
      <TrialOutcomeRow
        v-for="outcome in shown"
        :key="outcome.id"
        :outcome="outcome"
        @ask="emit('ask', outcome.trial.query)"
        @change="form = { id: outcome.id, trial: outcome.trial, title: outcome.title }"
        @remove="remove(outcome)"
      />
    </ul>
  </template>
  <div v-else-if="ran && !form" class="slip empty">
    <p>
      <b>No trials yet.</b>
      Type something on the stage that your visitors look for, and keep it in the strip below it. From then on you see
      at once when a change would spoil it.
    </p>
    <p class="quiet">
      Or read a table with the columns query, item and rank: the item must be among the first so many.
    </p>
  </div>
  <TableFiles :file="ran && ran.outcomes.length > 0 ? api.trialsFile(search) : null" @read="readIn">
    <span class="quiet" role="status">{{ said }}</span>
  </TableFiles>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 16px;
  margin-bottom: 12px;
}
.head .p-button {
  flex: none;
}
.filter {
  margin-top: 16px;
}
.outcomes {
  list-style: none;
  margin: 16px 0 0;
  padding: 0;
}
.empty {
  display: grid;
  gap: 8px;
  padding: 16px 18px;
  margin-top: 8px;
}
</style>

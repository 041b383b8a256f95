<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Trial, TrialOutcome } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import FileButton from '../../kit/FileButton.vue'
import LoadFailure from '../../kit/LoadFailure.vue'
import TrialForm from './TrialForm.vue'
import { became, expectation, shift, useTrials } from './trials'
import { useAttempt } from '../../kit/useAttempt'

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
function change(outcome: TrialOutcome) {
  form.value = { id: outcome.id, trial: outcome.trial, title: outcome.title }
}

const onlyFailing = ref(false)
const shown = computed(() => (onlyFailing.value ? failing.value : (ran.value?.outcomes ?? [])))
const share = (figure: number | null | undefined) => (figure === null || figure === undefined ? '–' : figure.toFixed(2))
const figures = computed(() =>
  ran.value
    ? [
        {
          name: 'Hold',
          what: 'How many trials are as you expect',
          of: (side: NonNullable<typeof ran.value.live>) =>
            `${formatNumber(side.hold)} of ${formatNumber(side.trials)}`,
        },
        {
          name: 'First wanted item',
          what: 'Mean reciprocal rank: 1 if every query has a wanted item first, 0.5 if second',
          of: (side: NonNullable<typeof ran.value.live>) => share(side.meanReciprocalRank),
        },
        {
          name: 'Order of wanted items',
          what: 'nDCG@10: 1 if all wanted items stand first among the first ten, the most wanted before the others',
          of: (side: NonNullable<typeof ran.value.live>) => share(side.ndcgAt10),
        },
      ]
    : [],
)
function moved({ change, before, after }: TrialOutcome['moves'][number]): string {
  if (before !== null && after !== null) return `${change} from ${formatNumber(before)} to ${formatNumber(after)}`
  return before === null ? `found at ${formatNumber(after ?? 0)}` : `lost from ${formatNumber(before)}`
}
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
  <p v-if="wrong" class="remark bad" role="alert">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" />
    {{ wrong }}
  </p>

  <template v-if="ran && ran.outcomes.length > 0">
    <table class="figures">
      <caption class="unseen">
        Figures over all trials
      </caption>
      <thead>
        <tr>
          <th scope="col"><span class="unseen">Figure</span></th>
          <th scope="col">Draft</th>
          <th v-if="ran.live" scope="col">Live</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="figure in figures" :key="figure.name">
          <th scope="row">
            {{ figure.name }}
            <small class="quiet">{{ figure.what }}</small>
          </th>
          <td class="number">{{ figure.of(ran.draft) }}</td>
          <td v-if="ran.live" class="number quiet">{{ figure.of(ran.live) }}</td>
        </tr>
      </tbody>
    </table>
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
      <li v-for="outcome in shown" :key="outcome.id" :class="{ fails: !outcome.draft.holds }">
        <span class="mark">
          <i class="pi" :class="outcome.draft.holds ? 'pi-check-circle' : 'pi-times-circle'" aria-hidden="true" />
          <span class="unseen">{{ outcome.draft.holds ? 'Holds' : 'Fails' }}</span>
        </span>
        <span class="what">
          <button
            type="button"
            class="query"
            :title="`Ask “${outcome.trial.query}” on the stage`"
            @click="emit('ask', outcome.trial.query)"
          >
            {{ outcome.trial.query }}
          </button>
          <span class="quiet">{{ expectation(outcome.trial, outcome.title) }}</span>
        </span>
        <span class="sides">
          <span :class="{ bad: !outcome.draft.holds }">
            {{ became(outcome.trial, outcome.draft) }}
            <b v-if="shift(outcome)" class="shift" :title="shift(outcome)!.said">
              {{ shift(outcome)!.arrow }} {{ shift(outcome)!.by }}
            </b>
          </span>
          <span v-if="outcome.live" class="quiet">
            live: {{ became(outcome.trial, outcome.live) }}{{ outcome.live.holds ? '' : ', fails' }}
          </span>
        </span>
        <span class="actions">
          <Button
            icon="pi pi-pencil"
            text
            rounded
            size="small"
            severity="secondary"
            :aria-label="`Change the trial ${outcome.trial.query}`"
            @click="change(outcome)"
          />
          <Button
            icon="pi pi-times"
            text
            rounded
            size="small"
            severity="secondary"
            :aria-label="`Take away the trial ${outcome.trial.query}`"
            @click="remove(outcome)"
          />
        </span>
        <details v-if="outcome.moves.length > 0">
          <summary>{{ counted(outcome.moves.length, 'item') }} of the first results moved</summary>
          <ol>
            <li v-for="move in outcome.moves" :key="`${move.item.collection}/${move.item.id}`">
              <span>{{ move.title }}</span>
              <span class="number" :class="move.change">{{ moved(move) }}</span>
            </li>
          </ol>
        </details>
      </li>
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
  <div class="line files">
    <FileButton label="Read a CSV" accept=".csv" @chosen="readIn" />
    <Button
      v-if="ran && ran.outcomes.length > 0"
      as="a"
      :href="api.trialsFile(search)"
      download
      label="Save as CSV"
      size="small"
      severity="secondary"
      text
    />
    <span class="quiet" role="status">{{ said }}</span>
  </div>
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
.remark {
  margin: 12px 0;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 4px;
}
thead th {
  font-size: 12.5px;
  font-weight: 600;
  color: var(--quiet);
  text-align: end;
}
tbody th {
  text-align: start;
  font-weight: 600;
}
tbody th small {
  display: block;
  font-weight: 400;
  font-size: 12.5px;
}
th,
td {
  padding: 7px 0 7px 16px;
  border-bottom: 1px solid var(--line);
}
th:first-child {
  padding-left: 0;
}
td {
  width: 90px;
  text-align: end;
  font-weight: 650;
  white-space: nowrap;
}
.filter {
  margin-top: 16px;
}
.outcomes {
  list-style: none;
  margin: 16px 0 0;
  padding: 0;
}
.outcomes > li {
  display: grid;
  grid-template-columns: 20px minmax(0, 1.2fr) minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: start;
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
.mark {
  color: var(--good);
  padding-top: 2px;
}
.fails .mark,
.bad {
  color: var(--bad);
}
.what,
.sides {
  display: grid;
  gap: 1px;
  overflow-wrap: anywhere;
}
.query {
  justify-self: start;
  padding: 0;
  border: 0;
  background: none;
  font: inherit;
  font-weight: 650;
  color: var(--ink);
  cursor: pointer;
  text-align: start;
}
.query:hover {
  text-decoration: underline;
}
.shift {
  color: var(--lamp-deep);
  white-space: nowrap;
}
.actions {
  display: flex;
}
.actions :deep(.p-button) {
  width: 30px;
  height: 30px;
  padding: 0;
}
details {
  grid-column: 2 / -1;
  font-size: 13px;
}
summary {
  cursor: pointer;
  color: var(--sea);
  font-weight: 600;
}
ol {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
ol li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 3px 0;
  border-top: 1px dashed var(--line);
}
.found,
.up {
  color: var(--good);
  font-weight: 600;
}
.lost,
.down {
  color: var(--bad);
  font-weight: 600;
}
.empty {
  display: grid;
  gap: 8px;
  padding: 16px 18px;
  margin-top: 8px;
}
.files {
  margin-top: 16px;
  font-size: 13px;
}
</style>

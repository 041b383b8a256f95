<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { Filter, FilterProposal, FilterSource } from '../../../shared/contract'
import { fieldsOf, partsOf } from './filters'
import { withEntry } from './filterValues'
import { useDesignRules } from '../design-rules/useDesignRules'

/** What visitors read for every filter, and for the values that have a label of their own, in one table. */
const { filters, proposals } = defineProps<{ filters: readonly Filter[]; proposals: readonly FilterProposal[] }>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ relabel: [key: string, change: (filter: Filter) => Filter] }>()
interface Row {
  id: string
  filter: Filter
  value: string | null
  own: string
  said: string
  part: boolean
}
const wanted = ref('')
const isJoint = ({ filter }: Row) => filter.source.of === 'joint'
const ownLabel = ({ source }: Filter) => {
  const [field] = fieldsOf(source)
  return proposals.find(one => one.field === field)?.label ?? field!
}
/** Of a value not even its name is known here, but the key that stands for it. */
const ownName = (value: string) => value.replaceAll('/', ' › ').replaceAll('-', ' ')
/** What visitors read for values, by their keys; words, distances and joint filters have none. */
function labelsOf(source: FilterSource): Record<string, string> {
  if (source.of === 'category') return source.looks.labels
  return 'labels' in source ? source.labels : {}
}
function withLabels(source: FilterSource, labels: Record<string, string>): FilterSource {
  if (source.of === 'category') return { ...source, looks: { ...source.looks, labels } }
  return 'labels' in source ? { ...source, labels } : source
}
function rowsOf(filter: Filter, part: boolean): Row[] {
  const { key, label } = filter.head
  return [
    { id: key, filter, value: null, own: ownLabel(filter), said: label, part },
    ...Object.entries(labelsOf(filter.source))
      .sort()
      .map(([value, said]) => ({ id: `${key}=${value}`, filter, value, own: ownName(value), said, part })),
    ...partsOf(filter).flatMap(one => rowsOf(one, true)),
  ]
}
const rows = computed(() =>
  filters
    .flatMap(filter => rowsOf(filter, false))
    .filter(row => `${row.own} ${row.said}`.toLowerCase().includes(wanted.value.trim().toLowerCase())),
)
function say({ filter, value, own, said }: Row, text: string) {
  if (text === said) return
  emit('relabel', filter.head.key, now =>
    value === null
      ? { ...now, head: { ...now.head, label: text === '' ? own : text } }
      : { ...now, source: withLabels(now.source, withEntry(labelsOf(now.source), value, text)) },
  )
}
const { limit } = useDesignRules()
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="What visitors read"
    :style="{ width: 'min(720px, 94vw)' }"
    :dismissable-mask="true"
  >
    <InputText
      v-if="rows.length > 8 || wanted"
      v-model="wanted"
      type="search"
      size="small"
      placeholder="Find a label"
      aria-label="Find a label"
      class="find"
    />
    <table>
      <thead>
        <tr>
          <th scope="col">The content’s own name</th>
          <th scope="col">Visitors read</th>
          <th scope="col"><span class="unseen">Way back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id" :class="{ value: row.value !== null, part: row.part }">
          <td>
            <template v-if="row.value === null">
              <b>{{ isJoint(row) ? 'Joined filter' : row.own }}</b>
            </template>
            <template v-else>{{ row.own }}</template>
          </td>
          <td>
            <InputText
              :model-value="row.said"
              size="small"
              :maxlength="limit('filters.head.label')?.most"
              :aria-label="`Visitors read for ${row.own}`"
              @change="say(row, ($event.target as HTMLInputElement).value.trim())"
            />
          </td>
          <td>
            <Button
              v-if="(row.value !== null || row.said !== row.own) && !isJoint(row)"
              icon="pi pi-replay"
              text
              rounded
              size="small"
              severity="secondary"
              :aria-label="`Back to ${row.own}`"
              :title="`Back to ${row.own}`"
              @click="say(row, '')"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p class="quiet">
      Values with a name of their own are written under each filter’s values; here are those that have one.
    </p>
  </Dialog>
</template>

<style scoped>
.find {
  width: 100%;
  margin-bottom: 8px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: start;
  font-size: 12.5px;
  font-weight: 600;
  color: var(--quiet);
  padding: 4px 8px 4px 0;
}
td {
  padding: 4px 8px 4px 0;
  border-top: 1px solid var(--line);
}
td :deep(.p-inputtext) {
  width: 100%;
}
.part td:first-child {
  padding-left: 20px;
}
.value td:first-child {
  padding-left: 20px;
}
.part.value td:first-child {
  padding-left: 40px;
}
td:last-child {
  width: 40px;
}
p {
  margin: 12px 0 0;
  font-size: 13px;
}
</style>

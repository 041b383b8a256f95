<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { Filter, FilterProposal } from '../../../shared/contract'

/** What visitors read for every filter, and for the values that have a label of their own, in one table. */
const { filters, proposals } = defineProps<{ filters: readonly Filter[]; proposals: readonly FilterProposal[] }>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ relabel: [key: string, changed: Partial<Filter>] }>()
interface Row {
  id: string
  filter: Filter
  value: string | null
  own: string
  said: string
  part: boolean
}
const wanted = ref('')
const ownLabel = (filter: Filter) => proposals.find(one => one.field === filter.field)?.label ?? filter.field
/** Of a value not even its name is known here, but the key that stands for it. */
const ownName = (value: string) => value.replaceAll('/', ' › ').replaceAll('-', ' ')
function rowsOf(filter: Filter, part: boolean): Row[] {
  return [
    { id: filter.key, filter, value: null, own: ownLabel(filter), said: filter.label, part },
    ...Object.entries(filter.labels)
      .sort()
      .map(([value, said]) => ({ id: `${filter.key}=${value}`, filter, value, own: ownName(value), said, part })),
    ...(filter.joined?.parts.flatMap(one => rowsOf(one, true)) ?? []),
  ]
}
const rows = computed(() =>
  filters
    .flatMap(filter => rowsOf(filter, false))
    .filter(row => `${row.own} ${row.said}`.toLowerCase().includes(wanted.value.trim().toLowerCase())),
)
function say(row: Row, text: string) {
  if (text === row.said) return
  if (row.value === null) {
    emit('relabel', row.filter.key, { label: text === '' ? row.own : text })
  } else {
    const { [row.value]: _before, ...others } = row.filter.labels
    emit('relabel', row.filter.key, { labels: text === '' ? others : { ...others, [row.value]: text } })
  }
}
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
              <b>{{ row.filter.joined ? 'Joined filter' : row.own }}</b>
            </template>
            <template v-else>{{ row.own }}</template>
          </td>
          <td>
            <InputText
              :model-value="row.said"
              size="small"
              maxlength="80"
              :aria-label="`Visitors read for ${row.own}`"
              @change="say(row, ($event.target as HTMLInputElement).value.trim())"
            />
          </td>
          <td>
            <Button
              v-if="(row.value !== null || row.said !== row.own) && !row.filter.joined"
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

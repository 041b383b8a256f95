<script setup lang="ts">
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import Paginator from 'primevue/paginator'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import type { CollectionShape } from '../../../shared/contract'
import { counted, formatDay, formatNumber, withDays } from '../../kit/format'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'
import LoadFailure from '../../kit/LoadFailure.vue'

/** The items of a collection: searched, sorted, filtered, with the columns that the owner wants, several at once. */
const { site, collection } = defineProps<{ site: string; collection: CollectionShape }>()
const queries = useQueryClient()
const PER_PAGE = 15
const USUAL_COLUMNS = 3
const words = ref('')
const page = ref(1)
const sort = ref('title')
const reversed = ref(false)
const filterField = ref('')
const filterValue = ref('')
const kept = `columns of ${site}/${collection.key}`
const stored = localStorage.getItem(kept)
const fieldKeys = collection.fields.map(field => field.key)
const columns = ref<string[]>(
  stored !== null
    ? stored.split(' ').filter(key => fieldKeys.includes(key))
    : collection.fields
        .filter(field => ['category', 'money', 'date', 'number'].includes(field.kind))
        .slice(0, USUAL_COLUMNS)
        .map(field => field.key),
)
watch(columns, now => {
  localStorage.setItem(kept, now.join(' '))
})

const asked = computed(() => {
  const parameters = new URLSearchParams({
    q: words.value,
    page: String(page.value),
    perPage: String(PER_PAGE),
    sort: sort.value,
    reversed: String(reversed.value),
    columns: columns.value.join(','),
  })
  if (filterField.value === ':kept-out') parameters.set('keptOut', 'true')
  else if (filterField.value.startsWith('!')) parameters.set('without', filterField.value.slice(1))
  else if (filterField.value && filterValue.value) parameters.set('value', `${filterField.value}:${filterValue.value}`)
  return parameters
})
watch([words, filterField, filterValue, sort, reversed], () => {
  page.value = 1
  chosen.value = []
})
const {
  data: items,
  error,
  refetch,
} = useQuery({
  queryKey: ['items', () => site, () => collection.key, () => asked.value.toString()],
  queryFn: () => api.items(site, collection.key, asked.value),
  placeholderData: keepPreviousData,
  staleTime: 0,
})
const { data: here } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site),
})

const filters = computed(() =>
  [
    { label: 'No filter', items: [{ value: '', label: 'All items' }] },
    {
      label: 'By value',
      items: collection.fields
        .filter(field => field.kind === 'category' || field.kind === 'yes-no')
        .map(field => ({ value: field.key, label: `${field.label} is …` })),
    },
    {
      label: 'What is missing',
      items: collection.fields.map(field => ({
        value: `!${field.key}`,
        label: `Without ${field.label.toLowerCase()}`,
      })),
    },
    { label: 'Marked', items: [{ value: ':kept-out', label: 'Kept out of search' }] },
  ].filter(group => group.items.length > 0),
)
const filtered = computed(() => collection.fields.find(field => field.key === filterField.value))
const { data: values } = useQuery({
  queryKey: ['values', () => site, () => collection.key, filterField],
  queryFn: () => api.values(site, collection.key, filterField.value, ''),
  enabled: computed(() => filtered.value?.kind === 'category'),
})
const valueChoices = computed(() =>
  filtered.value?.kind === 'yes-no'
    ? [
        { value: 'yes', label: 'yes' },
        { value: 'no', label: 'no' },
      ]
    : (values.value ?? []).map(one => ({
        value: one.value,
        label: `${'  '.repeat(one.names.length - 1)}${one.names.at(-1)} (${formatNumber(one.count)})`,
      })),
)
watch(filterField, () => {
  filterValue.value = ''
})

function sortBy(key: string) {
  if (sort.value === key) reversed.value = !reversed.value
  else {
    sort.value = key
    reversed.value = key === 'changed'
  }
}
const arrow = (key: string) => (sort.value !== key ? 'none' : reversed.value ? 'descending' : 'ascending')
const label = (key: string) => collection.fields.find(field => field.key === key)?.label ?? key
const shown = (key: string, value: string) =>
  collection.fields.find(field => field.key === key)?.kind === 'date' ? withDays(value) : value
const numeric = (key: string) =>
  ['number', 'money'].includes(collection.fields.find(field => field.key === key)?.kind ?? '')

const chosen = ref<string[]>([])
const pageIds = computed(() => (items.value?.items ?? []).map(item => item.id))
const allChosen = computed(() => pageIds.value.length > 0 && pageIds.value.every(id => chosen.value.includes(id)))
function chooseAll(on: boolean) {
  chosen.value = on
    ? [...new Set([...chosen.value, ...pageIds.value])]
    : chosen.value.filter(id => !pageIds.value.includes(id))
}
const { busy, wrong, attempt } = useAttempt()
const addingWords = ref(false)
const keywords = ref('')
const said = ref('')
async function mark(change: { keptOut?: boolean; addKeywords?: string }, done: string) {
  const many = chosen.value.length
  if (await attempt(() => api.markSeveral(site, collection.key, chosen.value, change))) {
    said.value = `${counted(many, 'item')} ${done}`
    chosen.value = []
    addingWords.value = false
    keywords.value = ''
    await queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'sites' })
  }
}
const to = (id: string) => ({ path: `/${site}/content/${collection.key}/item`, query: { id } })
const address = (of: string) => (of.startsWith('/') ? (here.value?.address ?? '') + of : of)
</script>

<template>
  <section aria-label="Items">
    <div class="tools">
      <InputText
        v-model="words"
        type="search"
        placeholder="Part of a title or id"
        aria-label="Find items by a part of their title or id"
      />
      <Select
        v-model="filterField"
        :options="filters"
        option-group-label="label"
        option-group-children="items"
        option-label="label"
        option-value="value"
        filter
        placeholder="All items"
        aria-label="Filter the items"
        class="filter"
      />
      <Select
        v-if="filtered"
        v-model="filterValue"
        :options="valueChoices"
        option-label="label"
        option-value="value"
        filter
        :aria-label="`Value of ${filtered.label}`"
        placeholder="Choose a value"
        class="filter"
      />
      <span class="quiet" role="status">{{ items ? counted(items.total, 'item') : '' }}</span>
      <span class="grow" />
      <MultiSelect
        v-model="columns"
        :options="collection.fields.filter(field => field.key !== 'title')"
        option-label="label"
        option-value="key"
        filter
        :max-selected-labels="0"
        selected-items-label="Columns"
        placeholder="Columns"
        aria-label="Columns of the table"
        class="choice"
      />
    </div>
    <div v-if="chosen.length > 0" class="bar" role="region" aria-label="What to do with the chosen items">
      <b>{{ counted(chosen.length, 'item') }} chosen</b>
      <Button
        label="Keep out of search"
        size="small"
        :loading="busy"
        @click="mark({ keptOut: true }, 'kept out of search.')"
      />
      <Button
        label="Let in again"
        size="small"
        severity="secondary"
        outlined
        @click="mark({ keptOut: false }, 'let in again.')"
      />
      <Button label="Add keywords" size="small" severity="secondary" outlined @click="addingWords = true" />
      <Button label="Choose none" size="small" severity="secondary" text @click="chosen = []" />
    </div>
    <p v-else-if="said" class="quiet said" role="status">{{ said }}</p>
    <p v-if="wrong" class="remark bad" role="alert">
      <i class="pi pi-exclamation-triangle" aria-hidden="true" />
      {{ wrong }}
    </p>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="items">
      <div class="slip table" tabindex="0" role="region" aria-label="Table of items">
        <table aria-label="Items">
          <thead>
            <tr>
              <th class="tick">
                <Checkbox
                  :model-value="allChosen"
                  binary
                  aria-label="Choose all of this page"
                  @update:model-value="chooseAll($event)"
                />
              </th>
              <th
                v-for="key in ['title', 'id', ...columns, 'changed']"
                :key="key"
                :aria-sort="arrow(key)"
                :class="{ numeric: numeric(key) }"
              >
                <button type="button" @click="sortBy(key)">
                  {{ key === 'title' ? 'Title' : key === 'id' ? 'Id' : key === 'changed' ? 'Changed' : label(key) }}
                  <i
                    class="pi"
                    :class="sort !== key ? 'pi-sort-alt' : reversed ? 'pi-sort-down-fill' : 'pi-sort-up-fill'"
                    aria-hidden="true"
                  />
                </button>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="item in items.items" :key="item.id" :class="{ out: item.keptOut }">
              <td class="tick"><Checkbox v-model="chosen" :value="item.id" :aria-label="`Choose ${item.title}`" /></td>
              <td>
                <RouterLink :to="to(item.id)" class="title">{{ item.title }}</RouterLink>
                <span v-if="item.keptOut" class="mark">
                  <i class="pi pi-eye-slash" aria-hidden="true" />
                  kept out
                </span>
                <a
                  v-if="item.address"
                  :href="address(item.address)"
                  target="_blank"
                  rel="noopener"
                  class="there"
                  :aria-label="`Page of ${item.title}`"
                  title="Open its page"
                >
                  <i class="pi pi-external-link" aria-hidden="true" />
                </a>
              </td>
              <td>
                <code>{{ item.id }}</code>
              </td>
              <td v-for="key in columns" :key="key" :class="{ numeric: numeric(key) }">
                <span class="cell">{{ shown(key, item.values[key] ?? '') }}</span>
              </td>
              <td>
                <span class="quiet nowrap">{{ formatDay(item.changed) }}</span>
              </td>
            </tr>
            <tr v-if="items.items.length === 0">
              <td :colspan="columns.length + 4" class="quiet">
                {{ words || filterField ? 'No item is like this.' : 'Nothing has been brought in yet.' }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <Paginator
        v-if="items.pages > 1"
        :rows="PER_PAGE"
        :total-records="items.total"
        :first="(items.page - 1) * PER_PAGE"
        @page="page = $event.page + 1"
      />
    </template>
    <Dialog v-model:visible="addingWords" modal header="Add keywords" :draggable="false" :style="{ width: '460px' }">
      <form @submit.prevent="mark({ addKeywords: keywords }, 'have the keywords.')">
        <div class="field">
          <label for="bulk-keywords">Words by which they are found too</label>
          <InputText id="bulk-keywords" v-model="keywords" autofocus aria-describedby="bulk-help" />
          <small id="bulk-help">They count as words of the title, and are shown nowhere.</small>
        </div>
        <Button
          type="submit"
          :label="`Add to ${counted(chosen.length, 'item')}`"
          :loading="busy"
          :disabled="keywords.trim() === ''"
        />
      </form>
    </Dialog>
  </section>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-bottom: 12px;
  flex-wrap: wrap;
}
.tools input {
  width: 230px;
}
.filter {
  min-width: 170px;
  max-width: 240px;
}
.choice {
  width: 140px;
}
.grow {
  flex: 1;
}
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 14px;
  margin-bottom: 12px;
  background: var(--sea-wash);
  border-radius: 8px;
  flex-wrap: wrap;
}
.said {
  margin-bottom: 12px;
}
.table {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: start;
  padding: 0;
  border-bottom: 1px solid var(--line);
  background: var(--leaf);
  white-space: nowrap;
}
th button {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 9px 14px;
  border: 0;
  background: none;
  font: inherit;
  font-weight: 600;
  color: inherit;
  cursor: pointer;
}
th .pi {
  font-size: 11px;
  color: var(--quiet);
}
th[aria-sort='ascending'] .pi,
th[aria-sort='descending'] .pi {
  color: var(--sea);
}
td {
  padding: 8px 14px;
  border-bottom: 1px solid var(--line);
}
tr:last-child td {
  border-bottom: 0;
}
.tick {
  width: 42px;
  padding: 9px 4px 9px 14px;
}
.numeric {
  text-align: end;
  font-variant-numeric: tabular-nums;
}
.title {
  font-weight: 600;
  color: inherit;
  text-decoration: none;
}
.title:hover {
  text-decoration: underline;
  color: var(--sea);
}
.there {
  margin-inline-start: 8px;
}
.there .pi {
  font-size: 11px;
}
.mark {
  margin-inline-start: 8px;
  font-size: 12.5px;
  color: var(--lamp-deep);
  white-space: nowrap;
}
.mark .pi {
  font-size: 12px;
}
.out .title {
  color: var(--quiet);
}
.cell {
  white-space: nowrap;
  display: inline-block;
  max-width: 220px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  vertical-align: bottom;
  font-size: 13.5px;
}
.nowrap {
  white-space: nowrap;
}
form {
  display: grid;
  gap: 16px;
}
</style>

<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import Checkbox from 'primevue/checkbox'
import { computed, ref, watch } from 'vue'
import type { CollectionShape } from '../../../shared/contract'
import { counted } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import PageTurner from '../../kit/PageTurner.vue'
import { api } from '../../ownerApi'
import ChosenItems from './ChosenItems.vue'
import { filterParameters } from './itemFilters'
import ItemTableRow from './ItemTableRow.vue'
import ItemTools from './ItemTools.vue'

/** The items of a collection: searched, sorted, filtered, with the columns that the owner wants, several at once. */
const { site, collection } = defineProps<{ site: string; collection: CollectionShape }>()
const PER_PAGE = 15
const USUAL_COLUMNS = 3
const words = ref('')
const page = ref(1)
const sort = ref('title')
const reversed = ref(false)
const filter = ref('')
const filterValue = ref('')
const usualColumns = collection.fields
  .filter(field => ['category', 'money', 'date', 'number'].includes(field.kind))
  .slice(0, USUAL_COLUMNS)
  .map(field => field.key)
/** Kept in this browser; of columns that are gone nothing is left. */
const stored = useLocalStorage(`columns of ${site}/${collection.key}`, usualColumns, {
  serializer: { read: keys => keys.split(' '), write: keys => keys.join(' ') },
})
const columns = computed({
  get: () => stored.value.filter(key => collection.fields.some(field => field.key === key)),
  set: now => {
    stored.value = now
  },
})

const asked = computed(
  () =>
    new URLSearchParams({
      q: words.value,
      page: String(page.value),
      perPage: String(PER_PAGE),
      sort: sort.value,
      reversed: String(reversed.value),
      columns: columns.value.join(','),
      ...filterParameters(filter.value, filterValue.value),
    }),
)
watch([words, filter, filterValue, sort, reversed], () => {
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
const { data: siteAddress } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.address,
})

function sortBy(key: string) {
  if (sort.value === key) reversed.value = !reversed.value
  else {
    sort.value = key
    reversed.value = key === 'changed'
  }
}
const arrow = (key: string) => (sort.value !== key ? 'none' : reversed.value ? 'descending' : 'ascending')
const HEADS: Readonly<Record<string, string>> = { title: 'Title', id: 'Id', changed: 'Changed' }
const heads = computed(() => ['title', 'id', ...columns.value, 'changed'])
const fieldOf = (key: string) => collection.fields.find(field => field.key === key)
const label = (key: string) => HEADS[key] ?? fieldOf(key)?.label ?? key
const isNumeric = (key: string) => ['number', 'money'].includes(fieldOf(key)?.kind ?? '')

const chosen = ref<string[]>([])
const pageIds = computed(() => (items.value?.items ?? []).map(item => item.id))
const allChosen = computed(() => pageIds.value.length > 0 && pageIds.value.every(id => chosen.value.includes(id)))
function chooseAll(on: boolean) {
  chosen.value = on
    ? [...new Set([...chosen.value, ...pageIds.value])]
    : chosen.value.filter(id => !pageIds.value.includes(id))
}
</script>

<template>
  <section aria-label="Items">
    <ItemTools
      v-model:words="words"
      v-model:filter="filter"
      v-model:value="filterValue"
      v-model:columns="columns"
      :site="site"
      :collection="collection"
      :found="items ? counted(items.total, 'item') : ''"
    />
    <ChosenItems v-model="chosen" :site="site" :collection="collection.key" />
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="items">
      <div class="slip framed-table" tabindex="0" role="region" aria-label="Table of items">
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
              <th v-for="key in heads" :key="key" :aria-sort="arrow(key)" :class="{ numeric: isNumeric(key) }">
                <button type="button" @click="sortBy(key)">
                  {{ label(key) }}
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
            <ItemTableRow
              v-for="item in items.items"
              :key="item.id"
              v-model="chosen"
              :item="item"
              :site="site"
              :collection="collection"
              :columns="columns"
              :site-address="siteAddress ?? ''"
            />
            <tr v-if="items.items.length === 0">
              <td :colspan="columns.length + 4" class="quiet">
                {{ words || filter ? 'No item is like this.' : 'Nothing has been brought in yet.' }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <PageTurner v-model="page" :pages="items.pages" :per-page="PER_PAGE" :total="items.total" />
    </template>
  </section>
</template>

<style scoped>
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
  padding: 9px 12px;
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
.tick {
  width: 42px;
  padding: 9px 4px 9px 12px;
}
.numeric {
  text-align: end;
}
</style>

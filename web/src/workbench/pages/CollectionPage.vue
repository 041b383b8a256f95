<script setup lang="ts">
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import InputText from 'primevue/inputtext'
import Paginator from 'primevue/paginator'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, watch } from 'vue'
import type { FieldKind, FieldShape } from '../../shared/contract'
import { RequestFailure, safeAddress } from '../../shared/http'
import { counted, formatDay } from '../format'
import { api } from '../ownerApi'
import LoadFailure from '../parts/LoadFailure.vue'

const { site, collection } = defineProps<{ site: string, collection: string }>()
const PER_PAGE = 15
const queries = useQueryClient()
const views = [{ label: 'Items', value: 'items' }, { label: 'Fields', value: 'fields' }]
const view = ref('items')
const words = ref('')
const page = ref(1)
watch([words, () => collection], () => { page.value = 1 })
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const here = computed(() => collections.value?.find(one => one.key === collection))
const { data: items, error, refetch } = useQuery({
  queryKey: ['items', () => site, () => collection, words, page],
  queryFn: () => api.items(site, collection, words.value, page.value, PER_PAGE),
  placeholderData: keepPreviousData,
})
const { data: siteHere } = useQuery({ queryKey: ['sites'], queryFn: api.sites, select: sites => sites.find(one => one.key === site) })
const address = (of: string | null) => (of === null ? null : safeAddress(of.startsWith('/') ? (siteHere.value?.address ?? '') + of : of))

const kinds: { value: FieldKind, label: string }[] = [
  { value: 'text', label: 'Text' }, { value: 'category', label: 'Category' }, { value: 'number', label: 'Number' }, { value: 'money', label: 'Money' },
  { value: 'date', label: 'Date' }, { value: 'place', label: 'Place' }, { value: 'yes-no', label: 'Yes or no' }, { value: 'image', label: 'Image' },
  { value: 'link', label: 'Link' }, { value: 'code', label: 'Code' },
]
const wrong = ref('')
async function correct(field: FieldShape, change: { kind?: FieldKind, label?: string }) {
  const after = { kind: change.kind ?? field.kind, label: (change.label ?? field.label).trim() }
  if (after.kind === field.kind && after.label === field.label) return
  wrong.value = ''
  try {
    await api.correctField(site, collection, field.key, after)
  } catch (failure) {
    if (!(failure instanceof RequestFailure)) throw failure
    wrong.value = failure.message
  }
  await queries.invalidateQueries({ queryKey: ['collections'] })
}
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/content`"><i class="pi pi-arrow-left" aria-hidden="true" /> Content</RouterLink>
    <div class="page-head">
      <div>
        <h1>{{ here?.label ?? collection }}</h1>
        <p v-if="here" class="lead">{{ counted(here.items, 'item') }} with {{ counted(here.fields.length, 'field') }}, in the language “{{ here.language }}”.</p>
      </div>
      <SelectButton v-model="view" :options="views" option-label="label" option-value="value" :allow-empty="false" aria-label="What to show" />
    </div>
    <section v-if="view === 'items'" aria-label="Items">
      <div class="tools">
        <InputText v-model="words" type="search" placeholder="Part of a title or id" aria-label="Find items by a part of their title or id" />
        <span class="quiet" role="status">{{ items ? counted(items.total, 'item') : '' }}{{ words && items ? ' with it' : '' }}</span>
      </div>
      <LoadFailure v-if="error" :error="error" @again="refetch()" />
      <template v-else-if="items">
        <div class="slip table">
          <DataTable :value="items.items" data-key="id" :pt="{ table: { 'aria-label': 'Items' } }">
            <template #empty>{{ words ? 'No item has this in its title or id.' : 'Nothing has been brought in yet.' }}</template>
            <Column field="title" header="Title"><template #body="{ data }"><b class="title">{{ data.title }}</b></template></Column>
            <Column field="id" header="Id"><template #body="{ data }"><code>{{ data.id }}</code></template></Column>
            <Column header="Address"><template #body="{ data }"><a v-if="address(data.address)" :href="address(data.address)!" target="_blank" rel="noopener" class="address">{{ data.address }}</a><span v-else class="quiet">none</span></template></Column>
            <Column header="Changed"><template #body="{ data }"><span class="quiet nowrap">{{ formatDay(data.changed) }}</span></template></Column>
          </DataTable>
        </div>
        <Paginator v-if="items.pages > 1" :rows="PER_PAGE" :total-records="items.total" :first="(items.page - 1) * PER_PAGE" @page="page = $event.page + 1" />
      </template>
    </section>
    <section v-else aria-label="Fields">
      <p class="lead">Kinds were guessed from the first items. Correct one here, and every item is read anew.</p>
      <p v-if="wrong" class="remark bad" role="alert"><i class="pi pi-exclamation-triangle" aria-hidden="true" />{{ wrong }}</p>
      <div class="slip table">
        <table>
          <thead><tr><th>Label</th><th>Kind</th><th>Key</th><th>Comes as</th><th>Words in it</th></tr></thead>
          <tbody>
            <tr v-for="field in here?.fields ?? []" :key="field.key">
              <td><InputText :model-value="field.label" size="small" :aria-label="`Label of ${field.key}`" @change="correct(field, { label: ($event.target as HTMLInputElement).value })" /></td>
              <td><Select :model-value="field.kind" :options="kinds" option-label="label" option-value="value" size="small" :aria-label="`Kind of ${field.label}`" class="kind" @update:model-value="correct(field, { kind: $event })" /></td>
              <td><code>{{ field.key }}</code></td>
              <td><code>{{ field.property }}</code></td>
              <td class="quiet">{{ field.searchable ? 'can be searched' : 'none' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  </main>
</template>

<style scoped>
.back { display: inline-flex; align-items: center; gap: 6px; margin-bottom: 8px; text-decoration: none; font-weight: 600; }
.tools { display: flex; align-items: center; gap: 16px; margin-bottom: 12px; }
.tools input { width: 280px; }
.table { overflow-x: auto; }
.title { font-weight: 600; }
.address { display: inline-block; max-width: 300px; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; vertical-align: bottom; }
.nowrap { white-space: nowrap; }
table { width: 100%; border-collapse: collapse; }
th { text-align: start; padding: 9px 14px; font-weight: 600; border-bottom: 1px solid var(--line); background: var(--leaf); }
td { padding: 6px 14px; border-bottom: 1px solid var(--line); }
tr:last-child td { border-bottom: 0; }
.kind { min-width: 130px; }
section > .lead, .remark { margin-bottom: 12px; }
</style>

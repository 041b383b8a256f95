<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { CollectionShape, FieldKind, Filter, FilterProposal, SearchSummary } from '../../shared/contract'
import { CONTROL_NAMES, filterFrom, keyFrom, warningsOf } from '../filters'
import { counted, formatNumber } from '../format'
import { api } from '../ownerApi'
import FilterSettings from '../parts/FilterSettings.vue'
import type { DraftEditing } from '../useDraft'

/** What visitors can narrow by, proposed from the content. */
const { draft, search, summary, collections } = defineProps<{ draft: DraftEditing, site: string, search: string, collections: readonly CollectionShape[], summary: SearchSummary | null }>()
const filters = computed(() => draft.design.value!.filters)
const remarks = computed(() => (summary?.remarks ?? []).filter(remark => remark.step === 'filters'))
const { data: proposals } = useQuery({ queryKey: ['reach', () => search, 'filter-proposals'], queryFn: () => api.filterProposals(search), staleTime: 0 })
const { data: reach } = useQuery({ queryKey: ['reach', () => search], queryFn: () => api.reach(search), staleTime: 0 })
const proposalOf = (field: string) => proposals.value?.find(one => one.field === field)
const offered = computed(() => (proposals.value ?? []).filter(one => !filters.value.some(filter => filter.field === one.field)))
const open = ref<string | null>(null)

function put(part: string, changed: Filter[]) {
  draft.change(part, design => ({ ...design, filters: changed }))
}
function add(proposal: FilterProposal) {
  put('filters.add', [...filters.value, filterFrom(proposal, keyFrom(proposal.label, filters.value.map(filter => filter.key)))])
}
function change(at: number, changed: Filter) {
  const before = filters.value[at]?.key
  if (open.value === before) open.value = changed.key
  put(`filter.${at}`, filters.value.map((filter, n) => (n === at ? changed : filter.after === before ? { ...filter, after: changed.key } : filter)))
}
/** Those that waited for it show always. */
function remove(at: number) {
  const gone = filters.value[at]?.key
  put('filters.remove', filters.value.filter((_, n) => n !== at).map(filter => (filter.after === gone ? { ...filter, after: null } : filter)))
}
function move(at: number, by: number) {
  const moved = [...filters.value]
  const [one] = moved.splice(at, 1)
  if (one) moved.splice(at + by, 0, one)
  put('filters.order', moved)
}
/** Dragged by its grip over another one, a filter takes that one's place. */
const dragged = ref<number | null>(null)
const over = ref<number | null>(null)
function drop(at: number) {
  if (dragged.value !== null && dragged.value !== at) move(dragged.value, at - dragged.value)
  dragged.value = over.value = null
}
const warnings = (filter: Filter) => (proposals.value && reach.value ? warningsOf(filter, proposalOf(filter.field), reach.value.inReach) : [])
function said(filter: Filter): string {
  const proposal = proposalOf(filter.field)
  if (!proposal) return 'no item has a value'
  const control = filter.control ?? proposal.controls[0]
  const chosen = filter.picked ? ` · ${formatNumber(filter.picked.length)} picked` : filter.except.length > 0 ? ` · ${formatNumber(filter.except.length)} taken off` : ''
  return `${control ? CONTROL_NAMES[control] : ''} · ${content(proposal)} · ${counted(proposal.items, 'item')}${chosen}`
}
/** What a field holds: how many values, or from where to where. */
function content(proposal: FilterProposal): string {
  if (proposal.kind === 'category') return `${counted(proposal.values, 'value')}${proposal.tree ? ' as a tree' : ''}`
  return proposal.least === null ? CONTENTS[proposal.kind] ?? proposal.kind : `${shown(proposal.kind, proposal.least)} to ${shown(proposal.kind, proposal.greatest!)}${proposal.unit ? ` ${proposal.unit}` : ''}`
}
const CONTENTS: Partial<Record<FieldKind, string>> = { 'yes-no': 'yes or no', 'text': 'words', 'code': 'codes' }
const shown = (kind: FieldKind, bound: string) => (kind === 'date' ? new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(bound)) : formatNumber(Number(bound)))
const kindOf = (filter: Filter): FieldKind => proposalOf(filter.field)?.kind ?? collections.flatMap(one => one.fields).find(field => field.key === filter.field)?.kind ?? 'category'

</script>

<template>
  <h2>Filters</h2>
  <p class="lead">What visitors can narrow by, in the order they see them. Every number beside a value is exact.</p>
  <p v-for="remark in remarks" :key="remark.text" class="remark" role="status"><i class="pi pi-info-circle" aria-hidden="true" />{{ remark.text }}</p>
  <ol v-if="filters.length > 0" class="filters" aria-label="Filters">
    <li v-for="(filter, at) in filters" :key="at" class="slip" :class="{ over: over === at && dragged !== null && dragged !== at }" @dragover.prevent="over = at" @drop.prevent="drop(at)">
      <div class="head">
        <span class="grip" draggable="true" title="Drag to another place" aria-hidden="true" @dragstart="dragged = at" @dragend="dragged = over = null"><i class="pi pi-bars" /></span>
        <button type="button" class="name" :aria-expanded="open === filter.key" @click="open = open === filter.key ? null : filter.key"><b>{{ filter.label }}</b><small class="quiet">{{ said(filter) }}</small></button>
        <Button icon="pi pi-arrow-up" text rounded size="small" severity="secondary" :disabled="at === 0" :aria-label="`Move ${filter.label} up`" @click="move(at, -1)" />
        <Button icon="pi pi-arrow-down" text rounded size="small" severity="secondary" :disabled="at === filters.length - 1" :aria-label="`Move ${filter.label} down`" @click="move(at, 1)" />
        <Button icon="pi pi-times" text rounded size="small" severity="secondary" :aria-label="`Take away the filter ${filter.label}`" @click="remove(at)" />
      </div>
      <p v-for="warning in warnings(filter)" :key="warning" class="warning"><i class="pi pi-info-circle" aria-hidden="true" />{{ warning }}</p>
      <FilterSettings v-if="open === filter.key" :search="search" :kind="kindOf(filter)" :fitting="proposalOf(filter.field)?.controls ?? []" :others="filters.filter((_, n) => n !== at)" :model-value="filter" @update:model-value="change(at, $event)" />
    </li>
  </ol>
  <template v-if="offered.length > 0">
    <h2 class="second">Add a filter</h2>
    <ul class="offered" aria-label="Add a filter">
      <li v-for="proposal in offered" :key="proposal.field">
        <span><b>{{ proposal.label }}</b><small class="quiet">{{ CONTROL_NAMES[proposal.control] }} · {{ content(proposal) }} · {{ counted(proposal.items, 'item') }} · {{ proposal.collections.join(', ') }}</small></span>
        <Button label="Add" size="small" severity="secondary" outlined :aria-label="`Add ${proposal.label}`" @click="add(proposal)" />
      </li>
    </ul>
  </template>
  <p v-else-if="proposals && filters.length === 0" class="slip empty">No searched collection has a field to narrow by. Correct a kind under Content, or search another collection.</p>
</template>

<style scoped>
.remark { margin-top: 12px; }
ol, ul { list-style: none; margin: 16px 0 0; padding: 0; display: grid; gap: 8px; }
.head { display: flex; align-items: center; gap: 2px; padding: 4px 6px 4px 0; }
.grip { display: grid; place-items: center; align-self: stretch; width: 26px; padding-left: 6px; color: var(--quiet); cursor: grab; }
.grip i { font-size: 12px; }
.over { box-shadow: 0 0 0 2px var(--sea); }
.warning { display: flex; gap: 8px; margin: 0; padding: 0 14px 10px 32px; font-size: 13px; color: var(--lamp-deep); }
.name { flex: 1; min-width: 0; padding: 8px 0 8px 6px; border: 0; background: none; font: inherit; color: inherit; text-align: start; cursor: pointer; }
.name small, .offered small { display: block; font-size: 12.5px; }
.name b, .offered b { font-weight: 600; overflow-wrap: anywhere; }
.head :deep(.p-button) { width: 30px; height: 30px; padding: 0; flex: none; }
.second { margin: 24px 0 0; }
.offered { gap: 0; margin-top: 8px; }
.offered li { display: flex; justify-content: space-between; align-items: center; gap: 12px; padding: 8px 0; border-bottom: 1px solid var(--line); }
.offered span { min-width: 0; }
.empty { margin-top: 16px; padding: 14px 16px; }
</style>

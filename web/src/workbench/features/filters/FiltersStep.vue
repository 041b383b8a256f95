<script setup lang="ts">
import Button from 'primevue/button'
import { computed, inject, onBeforeUnmount, ref, watch } from 'vue'
import type { CollectionShape, SearchSummary } from '../../../shared/contract'
import IconButton from '../../kit/IconButton.vue'
import NameButton from '../../kit/NameButton.vue'
import ReorderableList from '../../kit/ReorderableList.vue'
import StepRemarks from '../searches/StepRemarks.vue'
import type { DraftEditing } from '../searches/useDraft'
import { STAGE } from '../stage/stageAccess'
import FilterLabels from './FilterLabels.vue'
import FilterOffers from './FilterOffers.vue'
import FilterPlacesEditor from './FilterPlacesEditor.vue'
import FilterPartsHead from './FilterPartsHead.vue'
import FilterSettings from './FilterSettings.vue'
import { canMove, rowsOf, withAllShown, withForgotten, withMoved, withoutRow } from './filterList'
import { inUse, keysOf } from './filters'
import { useFilterEdits } from './useFilterEdits'
import { useFilterFacts } from './useFilterFacts'

/** What visitors can narrow by, proposed from the content. */
const { draft, search, summary, collections } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const filters = computed(() => draft.design.value!.filters)
const used = computed(() => inUse(filters.value))
const rows = computed(() => rowsOf(filters.value))
const { rules, proposals, offered, atWork, joinWith, warnings, line } = useFilterFacts(
  () => search,
  () => collections,
  () => filters.value,
)
const searched = computed(() =>
  collections.filter(one => draft.design.value!.reach.collections.some(other => other.collection === one.key)),
)
const edits = useFilterEdits(() => search, draft, rules)
const { put, change, open, wrong } = edits
const relabelling = ref(false)

/** The filter whose settings are open, or that the owner points at, is lit on the stage. */
const stage = inject(STAGE)!
const pointed = ref<string | null>(null)
watch([open, pointed], () => stage.value?.light(pointed.value ?? open.value))
onBeforeUnmount(() => stage.value?.light(null))
</script>

<template>
  <div class="title">
    <h2>Filters</h2>
    <Button
      v-if="filters.length > 0"
      label="All labels"
      icon="pi pi-tag"
      size="small"
      text
      severity="secondary"
      @click="relabelling = true"
    />
  </div>
  <p class="lead">What visitors can narrow by, in the order they see them. Every number beside a value is exact.</p>
  <StepRemarks step="filters" :summary="summary" />
  <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  <ReorderableList
    v-if="rows.length > 0"
    class="filters"
    label="Filters"
    :items="rows"
    :key-of="row => `${row.at}-${row.part}`"
    :name-of="row => row.filter.head.label"
    :can-move="(from, to) => canMove(rows[from]!, rows[to]!)"
    @move="(from, to) => put('filters.order', withMoved(filters, rows[from]!, rows[to]!))"
    @point="pointed = rows[$event]?.filter.head.key ?? null"
  >
    <template #above="{ item: row }">
      <FilterPartsHead
        v-if="row.part === 0"
        :label="filters[row.at]!.head.label"
        @together="edits.setApart(filters[row.at]!.head.key, false)"
        @forget="put('filters.forget', withForgotten(filters, row.at))"
      />
    </template>
    <template #default="{ item: { filter } }">
      <NameButton
        :name="filter.head.label"
        :line="line(filter)"
        :open="open === filter.head.key"
        @click="open = open === filter.head.key ? null : filter.head.key"
      />
    </template>
    <template #after-steps="{ item: row }">
      <IconButton
        icon="times"
        :label="`Take away the filter ${row.filter.head.label}`"
        @click="put('filters.remove', withoutRow(filters, row))"
      />
    </template>
    <template #below="{ item: row }">
      <p v-for="warning in warnings(row.filter)" :key="warning" class="warning">
        <i class="pi pi-info-circle" aria-hidden="true" />
        {{ warning }}
      </p>
      <FilterSettings
        v-if="rules && open === row.filter.head.key"
        :search="search"
        :others="used.filter(one => one.head.key !== row.filter.head.key)"
        :taken="keysOf(filters).filter(key => key !== row.filter.head.key)"
        :collections="searched"
        :join-with="joinWith(row)"
        :at-work="atWork"
        :model-value="atWork(row.filter)"
        @update:model-value="change(row.filter.head.key, $event)"
        @join="edits.join(row.filter.head.key, $event)"
        @apart="edits.setApart(row.filter.head.key, true)"
      />
    </template>
  </ReorderableList>
  <FilterOffers v-if="rules && offered.length > 0" :proposals="offered" @add="edits.add" />
  <p v-else-if="proposals && filters.length === 0" class="slip empty">
    No searched collection has a field to narrow by. Correct a kind under Content, or search another collection.
  </p>
  <template v-if="filters.length > 0">
    <h2 id="filter-places" class="second">Where filters stand</h2>
    <FilterPlacesEditor
      :filters="filters"
      :model-value="draft.design.value!.filterPlaces"
      @update:model-value="draft.change('filters.places', design => ({ ...design, filterPlaces: $event }))"
      @all="(where, shown) => put('filters.shown', withAllShown(filters, where, shown))"
    />
    <FilterLabels v-model:open="relabelling" :filters="filters" :proposals="proposals ?? []" @relabel="edits.relabel" />
  </template>
</template>

<style scoped>
.title {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.warning {
  display: flex;
  gap: 8px;
  margin: 0;
  padding: 0 14px 10px 32px;
  font-size: 13px;
  color: var(--lamp-deep);
}
.second {
  margin: 24px 0 0;
}
.empty {
  margin-top: 16px;
  padding: 14px 16px;
}
</style>

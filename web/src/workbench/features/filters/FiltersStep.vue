<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, inject, onBeforeUnmount, ref, watch } from 'vue'
import type {
  CollectionShape,
  FieldKind,
  Filter,
  FilterPlaces,
  FilterProposal,
  SearchSummary,
} from '../../../shared/contract'
import { CONTROL_NAMES, filterFrom, inUse, isJoinable, joined, keyFrom, keysOf, warningsOf } from './filters'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import FilterLabels from './FilterLabels.vue'
import FilterPlacesEditor from './FilterPlacesEditor.vue'
import FilterSettings from './FilterSettings.vue'
import { STAGE } from '../stage/stageAccess'
import type { DraftEditing } from '../searches/useDraft'

/** What visitors can narrow by, proposed from the content. */
const { draft, search, summary, collections } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const stage = inject(STAGE)!
const filters = computed(() => draft.design.value!.filters)
const used = computed(() => inUse(filters.value))
const remarks = computed(() => (summary?.remarks ?? []).filter(remark => remark.step === 'filters'))
const { data: proposals } = useQuery({
  queryKey: ['reach', () => search, 'filter-proposals'],
  queryFn: () => api.filterProposals(search),
  staleTime: 0,
})
const { data: figures } = useQuery({
  queryKey: ['reach', () => search, 'filter-figures'],
  queryFn: () => api.filterFigures(search),
  staleTime: 0,
})
const { data: reach } = useQuery({ queryKey: ['reach', () => search], queryFn: () => api.reach(search), staleTime: 0 })
const proposalOf = (field: string) => proposals.value?.find(one => one.field === field)
const offered = computed(() =>
  (proposals.value ?? []).filter(
    one =>
      !filters.value.some(
        filter => filter.field === one.field || filter.joined?.parts.some(part => part.field === one.field),
      ),
  ),
)
const searched = computed(() =>
  collections.filter(one => draft.design.value!.reach.collections.some(other => other.collection === one.key)),
)
const open = ref<string | null>(null)
const relabelling = ref(false)

/** The filter whose settings are open, or that the owner points at, is lit on the stage. */
const pointed = ref<string | null>(null)
watch([open, pointed], () => stage.light(pointed.value ?? open.value))
onBeforeUnmount(() => stage.light(null))

/**
 * One row of the list: a filter that visitors meet, by itself or as a part of a joint one that stands apart just now.
 */
interface Row {
  filter: Filter
  at: number
  part: number | null
}
const rows = computed<Row[]>(() =>
  filters.value.flatMap((filter, at): Row[] =>
    filter.joined?.apart
      ? filter.joined.parts.map((part, n) => ({ filter: part, at, part: n }))
      : [{ filter, at, part: null }],
  ),
)

function put(part: string, changed: Filter[]) {
  draft.change(part, design => ({ ...design, filters: changed }))
}
/** Those by which several items are found at once. */
const useful = computed(() => offered.value.filter(one => !one.nearlyUnique))
function add(proposal: FilterProposal) {
  put('filters.add', [
    ...filters.value,
    filterFrom(proposal, keyFrom(proposal.control === 'distance' ? 'distance' : proposal.label, keysOf(filters.value))),
  ])
}
/** With a filter of the list, or one joined in it, changed; what waits for one that is renamed still does. */
function changed(key: string, change: (filter: Filter) => Filter): Filter[] {
  const renamed = new Map<string, string>()
  const one = (filter: Filter): Filter => {
    if (filter.key !== key) return filter
    const now = change(filter)
    if (now.key !== key) renamed.set(key, now.key)
    return now
  }
  const all = filters.value
    .map(one)
    .map(filter =>
      filter.joined ? { ...filter, joined: { ...filter.joined, parts: filter.joined.parts.map(one) } } : filter,
    )
  return all.map(filter =>
    filter.after !== null && renamed.has(filter.after) ? { ...filter, after: renamed.get(filter.after)! } : filter,
  )
}
function change(key: string, now: Filter) {
  if (open.value === key) open.value = now.key
  put(
    `filter.${key}`,
    changed(key, () => now),
  )
}
/** Those that waited for one that goes show always. */
const withoutWaiting = (some: Filter[]) => {
  const keys = keysOf(some)
  return some.map(filter =>
    filter.after !== null && !keys.includes(filter.after) ? { ...filter, after: null } : filter,
  )
}
function remove(row: Row) {
  const { joined: joint } = filters.value[row.at]!
  if (row.part === null || !joint) put('filters.remove', withoutWaiting(filters.value.filter((_, n) => n !== row.at)))
  else
    put(
      'filters.remove',
      withoutWaiting(
        filters.value.flatMap((filter, n) =>
          n === row.at
            ? rest(
                filter,
                joint.parts.filter((_, m) => m !== row.part),
              )
            : [filter],
        ),
      ),
    )
}
/** A joint filter with other parts; of one alone there is nothing to join. */
const rest = (filter: Filter, parts: Filter[]): Filter[] =>
  parts.length < 2 ? parts : [{ ...filter, joined: { ...filter.joined!, parts } }]
function join(key: string, other: string) {
  const with_ = filters.value.find(filter => filter.key === other)
  const filter = filters.value.find(one => one.key === key)
  if (!filter || !with_) return
  const joint = joined(filter, with_, keyFrom(filter.label, keysOf(filters.value)))
  put(
    'filters.join',
    filters.value.filter(one => one.key !== other).map(one => (one.key === key ? joint : one)),
  )
  open.value = joint.key
}
function setApart(key: string, apart: boolean) {
  put(
    'filters.apart',
    changed(key, filter => (filter.joined ? { ...filter, joined: { ...filter.joined, apart } } : filter)),
  )
  open.value = null
}
function forget(at: number) {
  put(
    'filters.forget',
    withoutWaiting(filters.value.flatMap((filter, n) => (n === at && filter.joined ? filter.joined.parts : [filter]))),
  )
}
function move(row: Row, by: number) {
  const moved = (list: readonly Filter[], at: number) => {
    const result = [...list]
    const [one] = result.splice(at, 1)
    if (one) result.splice(at + by, 0, one)
    return result
  }
  const joint = filters.value[row.at]!.joined
  if (row.part === null || !joint) put('filters.order', moved(filters.value, row.at))
  else
    put(
      'filters.order',
      filters.value.map((filter, n) =>
        n === row.at ? { ...filter, joined: { ...joint, parts: moved(joint.parts, row.part!) } } : filter,
      ),
    )
}
const isFirst = (row: Row) => (row.part ?? row.at) === 0
const isLast = (row: Row) =>
  row.part === null ? row.at === filters.value.length - 1 : row.part === filters.value[row.at]!.joined!.parts.length - 1
/** Dragged by its grip over another one, a filter takes that one's place; one that stands apart stays among its own. */
const dragged = ref<Row | null>(null)
const over = ref<Row | null>(null)
const canDrop = (row: Row) =>
  dragged.value !== null && (dragged.value.part === null ? row.part === null : row.at === dragged.value.at)
function drop(row: Row) {
  if (dragged.value && canDrop(row))
    move(dragged.value, row.part === null ? row.at - dragged.value.at : row.part - dragged.value.part!)
  dragged.value = over.value = null
}

function place(changedPlaces: FilterPlaces) {
  draft.change('filters.places', design => ({ ...design, filterPlaces: changedPlaces }))
}
/** Every filter in a place, or none. */
function showAll(where: keyof FilterPlaces, shown: boolean) {
  const set = (filter: Filter): Filter => ({
    ...filter,
    shown:
      where === 'page'
        ? { ...filter.shown, page: !shown ? 'nowhere' : filter.shown.page === 'nowhere' ? 'side' : filter.shown.page }
        : { ...filter.shown, [where]: shown },
  })
  put(
    'filters.shown',
    filters.value.map(filter =>
      filter.joined?.apart
        ? { ...filter, joined: { ...filter.joined, parts: filter.joined.parts.map(set) } }
        : set(filter),
    ),
  )
}

const kindOf = (filter: Filter): FieldKind =>
  filter.joined
    ? 'category'
    : (proposalOf(filter.field)?.kind ??
      collections.flatMap(one => one.fields).find(field => field.key === filter.field)?.kind ??
      'category')
const fitting = (filter: Filter) => (filter.joined ? CATEGORY_CONTROLS : (proposalOf(filter.field)?.controls ?? []))
const CATEGORY_CONTROLS: NonNullable<Filter['control']>[] = ['list', 'one-of', 'menu', 'chips', 'pictures']
const MOST_PARTS = 12
const joinWith = (row: Row) =>
  row.part !== null || (row.filter.joined?.parts.length ?? 0) >= MOST_PARTS || !isJoinable(kindOf(row.filter))
    ? []
    : filters.value.filter(other => other.key !== row.filter.key && !other.joined && isJoinable(kindOf(other)))
const warnings = (filter: Filter) =>
  proposals.value && reach.value && !filter.joined
    ? warningsOf(filter, proposalOf(filter.field), reach.value.inReach)
    : []
function said(filter: Filter): string {
  const figure = figures.value?.find(one => one.key === filter.key)
  const proposal = proposalOf(filter.field)
  if (!proposal && !filter.joined) return 'no item has a value'
  const control = filter.control ?? fitting(filter)[0]
  const held = filter.joined ? `${filter.joined.parts.map(part => part.label).join(' and ')} together` : ''
  const values =
    kindOf(filter) === 'category' && figure
      ? `${counted(figure.values, 'value')}${!filter.joined && proposal?.tree && filter.tree && !filter.picked ? ' as a tree' : ''}`
      : proposal && !filter.joined
        ? content(proposal)
        : ''
  const left =
    figure && figure.leftOut.values > 0
      ? `${counted(figure.leftOut.values, 'value')} left out, in ${counted(figure.leftOut.items, 'item')}`
      : ''
  return [
    control ? CONTROL_NAMES[control] : '',
    held,
    values,
    counted(figure?.items ?? proposal?.items ?? 0, 'item'),
    left,
  ]
    .filter(part => part !== '')
    .join(' · ')
}
/** What a field holds: how many values, or from where to where. */
function content(proposal: FilterProposal): string {
  if (proposal.kind === 'category') return `${counted(proposal.values, 'value')}${proposal.tree ? ' as a tree' : ''}`
  return proposal.least === null
    ? (CONTENTS[proposal.kind] ?? proposal.kind)
    : `${shown(proposal.kind, proposal.least)} to ${shown(proposal.kind, proposal.greatest!)}${proposal.unit ? ` ${proposal.unit}` : ''}`
}
const CONTENTS: Partial<Record<FieldKind, string>> = {
  'yes-no': 'yes or no',
  text: 'words',
  code: 'codes',
  place: 'places',
}
const shown = (kind: FieldKind, bound: string) =>
  kind === 'date'
    ? new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(bound))
    : formatNumber(Number(bound))
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
  <p v-for="remark in remarks" :key="remark.text" class="remark" role="status">
    <i class="pi pi-info-circle" aria-hidden="true" />
    {{ remark.text }}
  </p>
  <ol v-if="rows.length > 0" class="filters" aria-label="Filters">
    <li
      v-for="row in rows"
      :key="`${row.at}-${row.part}`"
      class="slip"
      :class="{ over: over === row && canDrop(row) && dragged !== row, apart: row.part !== null }"
      @dragover="canDrop(row) && ($event.preventDefault(), (over = row))"
      @drop.prevent="drop(row)"
      @mouseenter="pointed = row.filter.key"
      @mouseleave="pointed = null"
    >
      <div v-if="row.part === 0" class="group">
        <span>
          Apart from
          <b>{{ filters[row.at]!.label }}</b>
        </span>
        <Button label="Put together" size="small" text @click="setApart(filters[row.at]!.key, false)" />
        <Button
          label="Keep apart"
          size="small"
          text
          severity="secondary"
          title="Forget that they were together"
          @click="forget(row.at)"
        />
      </div>
      <div class="head">
        <span
          class="grip"
          draggable="true"
          title="Drag to another place"
          aria-hidden="true"
          @dragstart="dragged = row"
          @dragend="dragged = over = null"
        >
          <i class="pi pi-bars" />
        </span>
        <button
          type="button"
          class="name"
          :aria-expanded="open === row.filter.key"
          @click="open = open === row.filter.key ? null : row.filter.key"
        >
          <b>{{ row.filter.label }}</b>
          <small class="quiet">{{ said(row.filter) }}</small>
        </button>
        <Button
          icon="pi pi-arrow-up"
          text
          rounded
          size="small"
          severity="secondary"
          :disabled="isFirst(row)"
          :aria-label="`Move ${row.filter.label} up`"
          @click="move(row, -1)"
        />
        <Button
          icon="pi pi-arrow-down"
          text
          rounded
          size="small"
          severity="secondary"
          :disabled="isLast(row)"
          :aria-label="`Move ${row.filter.label} down`"
          @click="move(row, 1)"
        />
        <Button
          icon="pi pi-times"
          text
          rounded
          size="small"
          severity="secondary"
          :aria-label="`Take away the filter ${row.filter.label}`"
          @click="remove(row)"
        />
      </div>
      <p v-for="warning in warnings(row.filter)" :key="warning" class="warning">
        <i class="pi pi-info-circle" aria-hidden="true" />
        {{ warning }}
      </p>
      <FilterSettings
        v-if="open === row.filter.key"
        :search="search"
        :kind="kindOf(row.filter)"
        :kind-of="kindOf"
        :fitting="fitting(row.filter)"
        :others="used.filter(one => one.key !== row.filter.key)"
        :taken="keysOf(filters).filter(key => key !== row.filter.key)"
        :collections="searched"
        :join-with="joinWith(row)"
        :model-value="row.filter"
        @update:model-value="change(row.filter.key, $event)"
        @join="join(row.filter.key, $event)"
        @apart="setApart(row.filter.key, true)"
      />
    </li>
  </ol>
  <template v-if="offered.length > 0">
    <h2 class="second">Add a filter</h2>
    <ul class="offered" aria-label="Add a filter">
      <li v-for="proposal in useful" :key="proposal.field">
        <span>
          <b>{{ proposal.label }}</b>
          <small class="quiet">
            {{ CONTROL_NAMES[proposal.control] }} · {{ content(proposal) }} · {{ counted(proposal.items, 'item') }} ·
            {{ proposal.collections.join(', ') }}
          </small>
        </span>
        <Button
          label="Add"
          size="small"
          severity="secondary"
          outlined
          :aria-label="`Add ${proposal.label}`"
          @click="add(proposal)"
        />
      </li>
    </ul>
    <details v-if="offered.length > useful.length" class="unique">
      <summary>
        {{ counted(offered.length - useful.length, 'field') }} in which most items have a value of their own
      </summary>
      <p class="quiet">Visitors who narrow by one of these find one item at most. Words find it as well.</p>
      <ul class="offered" aria-label="Add a filter of values that hardly recur">
        <li v-for="proposal in offered.filter(one => one.nearlyUnique)" :key="proposal.field">
          <span>
            <b>{{ proposal.label }}</b>
            <small class="quiet">{{ content(proposal) }} · {{ counted(proposal.items, 'item') }}</small>
          </span>
          <Button
            label="Add"
            size="small"
            severity="secondary"
            text
            :aria-label="`Add ${proposal.label}`"
            @click="add(proposal)"
          />
        </li>
      </ul>
    </details>
  </template>
  <p v-else-if="proposals && filters.length === 0" class="slip empty">
    No searched collection has a field to narrow by. Correct a kind under Content, or search another collection.
  </p>
  <template v-if="filters.length > 0">
    <h2 id="filter-places" class="second">Where filters stand</h2>
    <FilterPlacesEditor
      :filters="filters"
      :model-value="draft.design.value!.filterPlaces"
      @update:model-value="place($event)"
      @all="showAll"
    />
    <FilterLabels
      v-model:open="relabelling"
      :filters="filters"
      :proposals="proposals ?? []"
      @relabel="
        (key, now) =>
          put(
            'filters.labels',
            changed(key, filter => ({ ...filter, ...now })),
          )
      "
    />
  </template>
</template>

<style scoped>
.title {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.group {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 8px 0 14px;
  font-size: 13px;
}
.group span {
  flex: 1;
}
.apart {
  border-style: dashed;
}
.remark {
  margin-top: 12px;
}
ol,
ul {
  list-style: none;
  margin: 16px 0 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.head {
  display: flex;
  align-items: center;
  gap: 2px;
  padding: 4px 6px 4px 0;
}
.grip {
  display: grid;
  place-items: center;
  align-self: stretch;
  width: 26px;
  padding-left: 6px;
  color: var(--quiet);
  cursor: grab;
}
.grip i {
  font-size: 12px;
}
.over {
  box-shadow: 0 0 0 2px var(--sea);
}
.warning {
  display: flex;
  gap: 8px;
  margin: 0;
  padding: 0 14px 10px 32px;
  font-size: 13px;
  color: var(--lamp-deep);
}
.name {
  flex: 1;
  min-width: 0;
  padding: 8px 0 8px 6px;
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
}
.name small,
.offered small {
  display: block;
  font-size: 12.5px;
}
.name b,
.offered b {
  font-weight: 600;
  overflow-wrap: anywhere;
}
.head :deep(.p-button) {
  width: 30px;
  height: 30px;
  padding: 0;
  flex: none;
}
.second {
  margin: 24px 0 0;
}
.unique {
  margin-top: 12px;
}
.unique summary {
  cursor: pointer;
}
.unique p {
  margin: 6px 0;
}
.offered {
  gap: 0;
  margin-top: 8px;
}
.offered li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.offered span {
  min-width: 0;
}
.empty {
  margin-top: 16px;
  padding: 14px 16px;
}
</style>

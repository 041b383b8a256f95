<script setup lang="ts">
import { computed } from 'vue'
import type { Filter } from '../../../shared/contract'
import FoldingSection from '../../kit/FoldingSection.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { lowered, ORDERS } from './listNames'
import RowOfValues from './sources/RowOfValues.vue'
import ValueListSettings from './sources/ValueListSettings.vue'

/** How the values of a filter stand: in which order, how many, with what beside them. */
const filter = defineModel<Filter>({ required: true })
const source = computed(() => filter.value.source)
const put = (changed: Filter['source']) => {
  filter.value = { ...filter.value, source: changed }
}
/** The values are in an order that the owner sets by itself, not by picking them one after the other. */
const isOrdered = computed(
  () => source.value.of === 'joint' || (source.value.of === 'category' && source.value.offered.picked === null),
)
const isRow = computed(
  () =>
    (source.value.of === 'number' && source.value.control === 'bands') ||
    (source.value.of === 'day' && source.value.control === 'months'),
)
/** Whether values stand there, each with its number; those of categories have theirs in their list. */
const hasNumbers = computed(
  () =>
    isRow.value ||
    ['yes-no', 'distance'].includes(source.value.of) ||
    (source.value.of === 'day' && source.value.control === 'from-today'),
)
const counts = computed({
  get: () => 'counts' in source.value && source.value.counts,
  set: on => {
    if ('counts' in source.value) put({ ...source.value, counts: on })
  },
})
const folded = computed({
  get: () => filter.value.shown.folded,
  set: on => {
    filter.value = { ...filter.value, shown: { ...filter.value.shown, folded: on } }
  },
})
const said = computed(() => {
  const list = 'list' in source.value ? source.value.list : null
  const isCut = list ? !('control' in source.value && source.value.control === 'menu') : isRow.value
  const cutAfter = list?.cutAfter ?? ('cutAfter' in source.value ? source.value.cutAfter : 0)
  return [
    list && isOrdered.value ? lowered(ORDERS, list.order) : '',
    isCut ? `${cutAfter} at first` : '',
    (list ? list.counts : counts.value || !hasNumbers.value) ? '' : 'no numbers',
    folded.value ? 'folded at first' : '',
  ]
    .filter(Boolean)
    .join(', ')
})
</script>

<template>
  <FoldingSection title="List" :said="said">
    <ValueListSettings
      v-if="source.of === 'category' || source.of === 'joint'"
      :model-value="source.list"
      :control="source.control"
      :ordered="isOrdered"
      @update:model-value="put({ ...source, list: $event })"
    />
    <RowOfValues
      v-if="isRow && (source.of === 'number' || source.of === 'day')"
      :model-value="source"
      @update:model-value="put($event)"
    />
    <SwitchField v-if="hasNumbers" v-model="counts" label="Number of items beside each" />
    <SwitchField v-model="folded" label="Only the label at first" />
  </FoldingSection>
</template>

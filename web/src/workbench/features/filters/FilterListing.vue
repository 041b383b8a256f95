<script setup lang="ts">
import { computed } from 'vue'
import type { FieldKind, Filter } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import NumberField from '../../kit/NumberField.vue'
import SwitchField from '../../kit/SwitchField.vue'
import type { Control } from './filters'

/** How the values of a filter stand: in which order, how many, with what beside them. */
const { kind, control } = defineProps<{ kind: FieldKind; control: Control | null }>()
const filter = defineModel<Filter>({ required: true })
const set = (changed: Partial<Filter>) => {
  filter.value = { ...filter.value, ...changed }
}
const ORDERS: readonly { value: Filter['order']; label: string }[] = [
  { value: 'name', label: 'By name' },
  { value: 'name-down', label: 'By name, last first' },
  { value: 'number', label: 'By the number in the name' },
  { value: 'count', label: 'Most items first' },
]
const WITHOUT: readonly { value: Filter['withoutResults']; label: string }[] = [
  { value: 'dim', label: 'Greyed' },
  { value: 'hide', label: 'Not shown' },
  { value: 'found', label: 'Only of what is found' },
]
/** Steps and months have a fixed row of values, of which none comes from the items found. */
const without = computed(() => (kind === 'category' ? WITHOUT : WITHOUT.slice(0, 2)))
const isOne = (...some: (Control | null)[]) => some.includes(control)
/** Values stand one below the other or side by side, each with its number. */
const hasValues = computed(() => !isOne('range', 'at-least', 'at-most', 'span', 'box', null))
const ordered = computed(() => kind === 'category' && filter.value.picked === null)
const cut = computed(() => isOne('list', 'one-of', 'chips', 'pictures', 'months'))
const said = computed(() =>
  [
    ordered.value ? ORDERS.find(one => one.value === filter.value.order)?.label.toLowerCase() : '',
    cut.value ? `${filter.value.cutAfter} at first` : '',
    hasValues.value && !filter.value.counts ? 'no numbers' : '',
    filter.value.folded ? 'folded at first' : '',
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <FoldingSection title="List" :said="said">
    <ChoiceField
      v-if="ordered"
      label="Listed"
      :options="ORDERS"
      :model-value="filter.order"
      @update:model-value="set({ order: $event })"
    />
    <ChoiceField
      v-if="isOne('list', 'one-of', 'menu', 'chips', 'pictures', 'bands', 'months')"
      label="Without results"
      :options="without"
      :model-value="filter.withoutResults"
      @update:model-value="set({ withoutResults: $event })"
    />
    <NumberField
      v-if="cut"
      label="Shown at first"
      :min="1"
      :max="1000"
      :model-value="filter.cutAfter"
      @update:model-value="set({ cutAfter: $event })"
    />
    <NumberField
      v-if="isOne('list') && kind === 'category'"
      label="Searched by name from"
      :min="1"
      :max="10000"
      :model-value="filter.values.searchFrom"
      @update:model-value="set({ values: { ...filter.values, searchFrom: $event } })"
    />
    <SwitchField
      v-if="hasValues"
      label="Number of items beside each"
      :model-value="filter.counts"
      @update:model-value="set({ counts: $event })"
    />
    <SwitchField
      label="Only the label at first"
      :model-value="filter.folded"
      @update:model-value="set({ folded: $event })"
    />
  </FoldingSection>
</template>

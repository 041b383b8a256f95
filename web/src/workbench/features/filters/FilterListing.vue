<script setup lang="ts">
import { computed, toRef } from 'vue'
import type { FieldKind, Filter } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import NumberField from '../../kit/NumberField.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { settingsOf } from '../../kit/settingsOf'
import type { Control } from './filters'

/** How the values of a filter stand: in which order, how many, with what beside them. */
const { kind, control } = defineProps<{ kind: FieldKind; control: Control | null }>()
const filter = defineModel<Filter>({ required: true })
const settings = settingsOf(filter)
const rules = settingsOf(toRef(settings, 'values'))
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
    <ChoiceField v-if="ordered" v-model="settings.order" label="Listed" :options="ORDERS" />
    <ChoiceField
      v-if="isOne('list', 'one-of', 'menu', 'chips', 'pictures', 'bands', 'months')"
      v-model="settings.withoutResults"
      label="Without results"
      :options="without"
    />
    <NumberField v-if="cut" v-model="settings.cutAfter" label="Shown at first" :min="1" :max="1000" />
    <NumberField
      v-if="isOne('list') && kind === 'category'"
      v-model="rules.searchFrom"
      label="Searched by name from"
      :min="1"
      :max="10000"
    />
    <SwitchField v-if="hasValues" v-model="settings.counts" label="Number of items beside each" />
    <SwitchField v-model="settings.folded" label="Only the label at first" />
  </FoldingSection>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { PlaceChoices } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'

/** A filter whose values are categories, or none. */
const { categories, none } = defineProps<{
  label: string
  categories: PlaceChoices['categories']
  /** What none of them means; empty where there has to be one. */
  none: string
}>()
const filter = defineModel<string | null>({ required: true })
/** A list takes no null; no filter is called so. */
const NONE = '*'
const options = computed(() => {
  const offered = categories.map(one => ({ value: one.filter, label: one.label }))
  // One that is there no more still has to be seen, so that it can be left.
  const isGone = filter.value !== null && !offered.some(one => one.value === filter.value)
  return [
    ...(none === '' ? [] : [{ value: NONE, label: none }]),
    ...offered,
    ...(isGone ? [{ value: filter.value!, label: `${filter.value} (gone)` }] : []),
  ]
})
</script>

<template>
  <ChoiceField
    :label="label"
    :options="options"
    :model-value="filter ?? NONE"
    @update:model-value="filter = $event === NONE ? null : $event"
  />
</template>

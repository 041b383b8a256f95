<script setup lang="ts">
import { computed } from 'vue'
import type { PlaceChoices, SearchBox } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'

/** What can be chosen in the box beside the words. */
const { choosers } = defineProps<{ choosers: PlaceChoices['choosers'] }>()
const chooser = defineModel<SearchBox['chooser']>({ required: true })
/** A list takes no null; no field is called so. */
const NOTHING = '*'
const options = computed(() => [
  { value: NOTHING, label: 'Nothing' },
  ...choosers.map(one => ({ value: one.field, label: one.label })),
])
</script>

<template>
  <ChoiceField
    label="One of"
    :options="options"
    :model-value="chooser?.field ?? NOTHING"
    @update:model-value="chooser = $event === NOTHING ? null : { field: $event }"
  />
  <p class="quiet">
    What a visitor chooses narrows live results, the page and all numbers, with all that lies below it, and stands in
    the address.
  </p>
</template>

<script setup lang="ts">
import type { Filter, SourceOf } from '../../../../shared/contract'
import FilterOfParts from '../FilterOfParts.vue'
import TickingChoices from './TickingChoices.vue'

/** Of a joint filter: how the values of its parts are ticked, and which are on offer. */
defineProps<{
  search: string
  /** The key of the filter. */
  filter: string
  /** A filter as it works over the kind that its field has. */
  atWork: (filter: Filter) => Filter
}>()
const emit = defineEmits<{ apart: [] }>()
const source = defineModel<SourceOf<'joint'>>({ required: true })
</script>

<template>
  <TickingChoices v-model="source" :filter="filter" />
  <FilterOfParts v-model="source" :search="search" :at-work="atWork" @apart="emit('apart')" />
</template>

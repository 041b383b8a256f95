<script setup lang="ts">
import type { SourceOf } from '../../../../shared/contract'
import FilterValues from '../FilterValues.vue'
import TickingChoices from './TickingChoices.vue'

/** Of a category field: how its values are ticked, and which are on offer. */
defineProps<{
  search: string
  /** The key of the filter. */
  filter: string
}>()
const source = defineModel<SourceOf<'category'>>({ required: true })
</script>

<template>
  <TickingChoices v-model="source" :filter="filter" />
  <FilterValues v-model="source" :search="search" :pictures="source.control === 'pictures'" />
</template>

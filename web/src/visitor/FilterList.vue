<script setup lang="ts">
import type { FilterShape } from '../shared/contract'
import FilterBranch from './FilterBranch.vue'

/** Everything that visitors can narrow by, one filter below the other. */
defineProps<{ filters: readonly FilterShape[] }>()
defineEmits<{ tick: [key: string, value: string] }>()
</script>

<template>
  <fieldset v-for="filter in filters" :key="filter.key" class="filter" part="filter">
    <legend part="filter-label">{{ filter.label }}</legend>
    <FilterBranch :filter="filter" :values="filter.values" @tick="$emit('tick', filter.key, $event)" />
  </fieldset>
</template>

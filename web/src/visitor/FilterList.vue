<script setup lang="ts">
import { ref } from 'vue'
import type { FilterShape } from '../shared/contract'
import FilterBounds from './FilterBounds.vue'
import FilterBox from './FilterBox.vue'
import FilterBranch from './FilterBranch.vue'
import FilterChoice from './FilterChoice.vue'
import { setIn } from './filterState'

/** Everything that visitors can narrow by, one filter below the other. */
defineProps<{ filters: readonly FilterShape[] }>()
const emit = defineEmits<{ tick: [key: string, value: string], set: [key: string, values: string[]] }>()
const turned = ref<Record<string, boolean>>({})
const isOpen = (filter: FilterShape) => turned.value[filter.key] ?? (!filter.folded || setIn(filter).length > 0)
</script>

<template>
  <fieldset v-for="filter in filters" :key="filter.key" class="filter" part="filter">
    <legend part="filter-label">
      <button v-if="filter.folded" type="button" class="fold" :aria-expanded="isOpen(filter)" @click="turned = { ...turned, [filter.key]: !isOpen(filter) }"><svg viewBox="0 0 18 18" aria-hidden="true"><path d="m6 3.5 5.5 5.5L6 14.5" /></svg>{{ filter.label }}</button>
      <template v-else>{{ filter.label }}</template>
    </legend>
    <template v-if="isOpen(filter)">
      <p v-if="filter.help" class="help">{{ filter.help }}</p>
      <FilterBounds v-if="filter.bounds" :filter="filter" :bounds="filter.bounds" @set="emit('set', filter.key, $event)" />
      <FilterBox v-else-if="filter.control === 'box'" :filter="filter" @set="emit('set', filter.key, $event)" />
      <FilterChoice v-else-if="filter.control === 'one-of' || filter.control === 'menu' || filter.control === 'chips'" :filter="filter" @set="emit('set', filter.key, $event)" @tick="emit('tick', filter.key, $event)" />
      <FilterBranch v-else top :filter="filter" :values="filter.values" @tick="emit('tick', filter.key, $event)" />
    </template>
  </fieldset>
</template>

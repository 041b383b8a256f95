<script setup lang="ts">
import { nextTick, ref, useTemplateRef, watch } from 'vue'
import type { FilterShape } from '../../shared/contract'
import FilterBounds from './FilterBounds.vue'
import FilterBox from './FilterBox.vue'
import FilterBranch from './FilterBranch.vue'
import FilterChoice from './FilterChoice.vue'
import FilterPlace from './FilterPlace.vue'
import { valuesIn } from './filterState'
import type { Filters } from '../address'

/** Everything that visitors can narrow by in one place, one filter after the other. */
const { lit = null } = defineProps<{ filters: readonly FilterShape[]; lit?: string | null }>()
const emit = defineEmits<{ tick: [key: string, value: string]; put: [changes: Filters] }>()
const turned = ref<Record<string, boolean>>({})
/** One that the owner points at is open, whatever it is at first. */
const isOpen = (filter: FilterShape) =>
  lit === filter.key || (turned.value[filter.key] ?? (!filter.folded || valuesIn(filter).length > 0))
const drawn = useTemplateRef<HTMLElement[]>('drawn')
watch(
  () => lit,
  async now => {
    await nextTick()
    if (now) drawn.value?.find(one => one.classList.contains('lit'))?.scrollIntoView({ block: 'nearest' })
  },
)
</script>

<template>
  <fieldset
    v-for="filter in filters"
    ref="drawn"
    :key="filter.key"
    class="filter"
    :class="{ lit: lit === filter.key }"
    :part="`filter filter-${filter.key}`"
  >
    <legend part="filter-label">
      <button
        v-if="filter.folded"
        type="button"
        class="fold"
        :aria-expanded="isOpen(filter)"
        @click="turned = { ...turned, [filter.key]: !isOpen(filter) }"
      >
        <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m6 3.5 5.5 5.5L6 14.5" /></svg>
        {{ filter.label }}
      </button>
      <template v-else>{{ filter.label }}</template>
    </legend>
    <template v-if="isOpen(filter)">
      <p v-if="filter.help" class="help">{{ filter.help }}</p>
      <FilterBounds
        v-if="filter.bounds"
        :filter="filter"
        :bounds="filter.bounds"
        @set="emit('put', { [filter.key]: $event })"
      />
      <FilterPlace v-else-if="filter.around" :filter="filter" :around="filter.around" @put="emit('put', $event)" />
      <FilterBox v-else-if="filter.control === 'box'" :filter="filter" @set="emit('put', { [filter.key]: $event })" />
      <FilterChoice
        v-else-if="
          filter.control === 'one-of' ||
          filter.control === 'menu' ||
          filter.control === 'chips' ||
          filter.control === 'pictures'
        "
        :filter="filter"
        @set="emit('put', { [filter.key]: $event })"
        @tick="emit('tick', filter.key, $event)"
      />
      <FilterBranch v-else :filter="filter" :values="filter.values" @tick="emit('tick', filter.key, $event)" />
    </template>
  </fieldset>
</template>

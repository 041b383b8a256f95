<script setup lang="ts">
import { nextTick, ref, useTemplateRef, watch } from 'vue'
import type { FilterShape } from '../../shared/contract'
import { controlOf } from './controls'
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
      <component
        :is="controlOf(filter)"
        :filter="filter"
        @tick="(value: string) => emit('tick', filter.key, value)"
        @put="(changes: Filters) => emit('put', changes)"
      />
    </template>
  </fieldset>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FilterShape, FilterValue } from '../shared/contract'
import { english as texts } from './texts'

/** The values on one level of a filter, each with what lies below it. */
const { filter, values } = defineProps<{ filter: FilterShape, values: readonly FilterValue[] }>()
const emit = defineEmits<{ tick: [value: string] }>()
const all = ref(false)
const opened = ref(new Set<string>())
/** Where something below is ticked it must be in sight. */
const holds = (value: FilterValue): boolean => value.children.some(child => child.selected || holds(child))
const isOpen = (value: FilterValue) => opened.value.has(value.value) || holds(value)
/** Whether anything on this level has something below it; the numbers then stand one below the other all the same. */
const branches = computed(() => values.some(value => value.children.length > 0))
const shown = computed(() => (all.value ? values : values.filter((value, n) => n < filter.cutAfter || value.selected || holds(value))))
const hidden = computed(() => values.length - shown.value.length)
function turn(value: FilterValue) {
  const now = new Set(opened.value)
  if (!now.delete(value.value)) now.add(value.value)
  opened.value = now
}
const number = (count: number) => new Intl.NumberFormat(document.documentElement.lang || undefined).format(count)
</script>

<template>
  <ul class="values">
    <li v-for="value in shown" :key="value.value">
      <div class="value" :class="{ none: value.count === 0 && !value.selected }">
        <label><input type="checkbox" :checked="value.selected" :disabled="value.count === 0 && !value.selected" @change="emit('tick', value.value)"><span>{{ value.label }}</span></label>
        <span v-if="filter.counts" class="number">{{ number(value.count) }}</span>
        <button v-if="value.children.length > 0" type="button" class="turn" :aria-expanded="isOpen(value)" :aria-label="texts.below(value.label)" :disabled="holds(value)" @click="turn(value)"><svg viewBox="0 0 18 18" aria-hidden="true"><path d="m6 3.5 5.5 5.5L6 14.5" /></svg></button>
        <span v-else-if="branches" class="turn" />
      </div>
      <FilterBranch v-if="value.children.length > 0 && isOpen(value)" :filter="filter" :values="value.children" @tick="emit('tick', $event)" />
    </li>
  </ul>
  <button v-if="hidden > 0" type="button" class="more" @click="all = true">{{ texts.more(hidden) }}</button>
  <button v-else-if="all && values.length > filter.cutAfter" type="button" class="more" @click="all = false">{{ texts.fewer }}</button>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { useTexts } from '../texts'
import { setIn } from './filterState'
import type { FilterChoice } from './useFilterChoice'
import { useStyle } from '../look/useStyle'
import css from './filters.css?inline'

useStyle(css)

const texts = useTexts()
const { say } = texts
/** What is set in all filters, each with a way to take it off. */
const { choice } = defineProps<{ choice: FilterChoice }>()
const set = computed(() =>
  choice.filters.value.flatMap(filter => setIn(filter, texts).map(value => ({ key: filter.key, ...value }))),
)
</script>

<template>
  <button
    v-for="one in set"
    :key="one.key + one.value"
    type="button"
    class="chip"
    part="chip"
    :aria-label="say('takeOff', { label: one.label })"
    @click="choice.tick(one.key, one.value)"
  >
    {{ one.label }}
    <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m5 5 8 8m0-8-8 8" /></svg>
  </button>
  <button v-if="choice.changed.value" type="button" class="again" @click="choice.clear">{{ say('clearAll') }}</button>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { useTexts } from '../texts'
import type { LiveRow } from './liveRows'

/** Queries to go on with, in a row above live results: completions, another spelling, what was looked for before. */
const { rows, total, active } = defineProps<{
  rows: readonly (LiveRow & { kind: 'query' })[]
  /** How many results there are; null before anything is typed. */
  total: number | null
  /** The row that Enter would choose. */
  active: LiveRow | undefined
}>()
const emit = defineEmits<{ choose: [row: LiveRow] }>()
const { say } = useTexts()
const named = computed(() => (total === null ? say('recent') : total > 0 ? say('goOn') : say('didYouMean')))
</script>

<template>
  <div v-if="rows.length > 0" role="group" class="queries" part="group" :aria-label="named">
    <span v-if="!total" aria-hidden="true">{{ named }}</span>
    <span
      v-for="row in rows"
      :id="row.id"
      :key="row.id"
      role="option"
      class="query"
      :class="{ active: row === active }"
      :part="row === active ? 'query query-active' : 'query'"
      :aria-selected="row === active"
      @click="emit('choose', row)"
    >
      {{ row.query }}
    </span>
  </div>
</template>

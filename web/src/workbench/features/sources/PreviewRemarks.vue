<script setup lang="ts">
import { computed } from 'vue'
import type { Preview } from '../../../shared/contract'
import RemarkLine from '../../kit/RemarkLine.vue'

/** What is to be known of what was read: notes, and records that cannot be read. */
const { preview } = defineProps<{ preview: Preview }>()
const TOLD = 3
const problems = computed(() => {
  const { length } = preview.problems
  const told = preview.problems.slice(0, TOLD).map(problem => `${problem.at}, ${problem.reason}`)
  return `${length === 1 ? 'One record' : `${length} records`} of the first cannot be read: ${told.join('; ')}.`
})
</script>

<template>
  <RemarkLine v-for="note in preview.notes" :key="note">{{ note }}</RemarkLine>
  <RemarkLine v-if="preview.problems.length > 0" bad>{{ problems }}</RemarkLine>
</template>

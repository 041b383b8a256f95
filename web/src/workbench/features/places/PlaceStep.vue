<script setup lang="ts">
import type { Remark, SearchSummary } from '../../../shared/contract'
import LoadFailure from '../../kit/LoadFailure.vue'
import StepRemarks from '../searches/StepRemarks.vue'
import { usePlaceChoices } from './usePlaceChoices'

/** A step about a place where visitors meet the search: what is open in it, and its settings once one knows what there is. */
const { search } = defineProps<{
  title: string
  lead: string
  /** By which remarks know it. */
  step: Remark['step']
  search: string
  summary: SearchSummary | null
}>()
const { choices, error, refetch } = usePlaceChoices(search)
</script>

<template>
  <h2>{{ title }}</h2>
  <p class="lead">{{ lead }}</p>
  <StepRemarks :step="step" :summary="summary" />
  <LoadFailure v-if="error" :error="error" @again="refetch()" />
  <div v-else-if="choices" class="place-step"><slot :choices="choices" /></div>
</template>

<style scoped>
.place-step {
  display: grid;
  gap: 12px;
  margin-top: 14px;
}
</style>

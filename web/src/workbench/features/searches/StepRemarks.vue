<script setup lang="ts">
import { computed } from 'vue'
import type { SearchSummary } from '../../../shared/contract'

/** What is open, or to think of, in one step of a search. */
const { step, summary } = defineProps<{
  step: SearchSummary['remarks'][number]['step']
  summary: SearchSummary | null
}>()
const remarks = computed(() => (summary?.remarks ?? []).filter(remark => remark.step === step))
</script>

<template>
  <p v-for="remark in remarks" :key="remark.text" class="remark" role="status">
    <i class="pi pi-info-circle" aria-hidden="true" />
    {{ remark.text }}
  </p>
</template>

<style scoped>
.remark {
  margin-top: 12px;
}
</style>

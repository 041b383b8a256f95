<script setup lang="ts" generic="Fix extends { label: string; colour: string }">
import Button from 'primevue/button'
import { computed } from 'vue'

/** How well two colours can be told apart (WCAG 2.2), and colours near by that would pass where these do not. */
const {
  ratio,
  needed,
  of = '',
} = defineProps<{
  ratio: number
  needed: number
  /** Whose contrast it is, where that is not plain. */
  of?: string
  fixes: readonly Fix[]
}>()
const emit = defineEmits<{ take: [fix: Fix] }>()
const isLow = computed(() => ratio < needed)
/** Cut, not rounded: 4.499 does not pass. */
const cut = (value: number) => (Math.floor(value * 100) / 100).toFixed(2)
</script>

<template>
  <p class="contrast" :class="{ low: isLow }" role="status">
    <i class="pi" :class="isLow ? 'pi-exclamation-triangle' : 'pi-check'" aria-hidden="true" />
    <span>Contrast {{ of }} {{ cut(ratio) }}{{ isLow ? `, ${needed} is needed.` : '' }}</span>
    <Button
      v-for="fix in fixes"
      :key="fix.label"
      :label="`${fix.label} ${fix.colour}`"
      size="small"
      severity="secondary"
      outlined
      @click="emit('take', fix)"
    />
  </p>
</template>

<style scoped>
.contrast {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  font-size: 13px;
  color: var(--good);
}
.contrast span {
  flex: 0 1 auto;
  min-width: 0;
  max-width: calc(100% - 24px);
}
.contrast.low {
  color: #84261d;
}
</style>

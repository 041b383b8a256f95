<script setup lang="ts">
import ToggleButton from 'primevue/togglebutton'
import Button from 'primevue/button'
import type { Pretence } from './pretences'

/** States to try on the stage: what a place shows when nothing is found, or a great deal, or when it takes long. */
const pretence = defineModel<Pretence | null>({ required: true })
const emit = defineEmits<{ type: [] }>()
const STATES: readonly { value: Pretence; label: string }[] = [
  { value: 'nothing', label: 'Nothing found' },
  { value: 'one', label: 'One result' },
  { value: 'many', label: '10,000 results' },
  { value: 'slow', label: 'Slow network' },
]
</script>

<template>
  <div class="tries" role="group" aria-label="Try on the stage">
    <b>Try</b>
    <Button label="A word, typed" size="small" severity="secondary" outlined @click="emit('type')" />
    <ToggleButton
      v-for="{ value, label } in STATES"
      :key="value"
      :model-value="pretence === value"
      :on-label="label"
      :off-label="label"
      size="small"
      @update:model-value="pretence = $event ? value : null"
    />
  </div>
</template>

<style scoped>
.tries {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 0 -16px;
  padding: 8px 16px;
  background: var(--leaf);
  border-top: 1px solid var(--line);
}
</style>

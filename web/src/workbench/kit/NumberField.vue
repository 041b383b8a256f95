<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import { useId } from 'vue'

/** A whole number within bounds, its label beside it; an emptied field changes nothing. */
const { label, min, max } = defineProps<{ label: string; min: number; max: number }>()
const number = defineModel<number>({ required: true })
const id = useId()
</script>

<template>
  <div class="choice">
    <label class="label" :for="id">{{ label }}</label>
    <InputNumber
      :input-id="id"
      :model-value="number"
      :min="min"
      :max="max"
      size="small"
      @update:model-value="number = $event ?? number"
    />
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.choice :deep(input) {
  width: 72px;
}
</style>

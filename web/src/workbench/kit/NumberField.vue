<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import { useId } from 'vue'
import FieldFrame from './FieldFrame.vue'

/** A whole number within bounds, its label beside it; an emptied field changes nothing. */
const { label, min, max } = defineProps<{ label: string; min: number; max: number }>()
const number = defineModel<number>({ required: true })
const id = useId()
</script>

<template>
  <FieldFrame :label="label" :control="id">
    <InputNumber
      :input-id="id"
      :model-value="number"
      :min="min"
      :max="max"
      size="small"
      class="number"
      @update:model-value="number = $event ?? number"
    />
  </FieldFrame>
</template>

<style scoped>
.number :deep(input) {
  width: 72px;
}
</style>

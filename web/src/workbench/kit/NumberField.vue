<script setup lang="ts" generic="Value extends number | null">
import InputNumber from 'primevue/inputnumber'
import { useId } from 'vue'
import FieldFrame from './FieldFrame.vue'

/** A whole number within bounds, its label beside it. */
const {
  label,
  min,
  max,
  empty = null,
  unit = '',
} = defineProps<{
  label: string
  min: number
  max: number
  /** What an empty field means; null where one changes nothing. */
  empty?: string | null
  /** What stands behind the number. */
  unit?: string
}>()
const number = defineModel<Value>({ required: true })
const id = useId()
/** Null comes only where an empty field means something, and then the value may be null. */
const fits = (typed: number | null): typed is Value => typed !== null || empty !== null
const put = (typed: number | null) => {
  if (fits(typed)) number.value = typed
}
</script>

<template>
  <FieldFrame :label="label" :control="id">
    <InputNumber
      :input-id="id"
      :model-value="number"
      :min="min"
      :max="max"
      :placeholder="empty ?? undefined"
      :suffix="unit ? ` ${unit}` : undefined"
      :show-buttons="empty !== null || unit !== ''"
      size="small"
      :class="['number', { roomy: (empty ?? '').length > 5 }]"
      @update:model-value="put"
    />
  </FieldFrame>
</template>

<style scoped>
.number :deep(input) {
  width: 96px;
}
/* Where the empty field says something in words. */
.roomy :deep(input) {
  width: 170px;
}
</style>

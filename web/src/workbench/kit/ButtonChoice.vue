<script setup lang="ts" generic="Value extends string | number | boolean">
import SelectButton from 'primevue/selectbutton'

/** One of a few, as buttons side by side; one is always chosen. */
const { options } = defineProps<{
  options: readonly { value: Value; label: string }[]
  /** What is chosen, for those who do not see it; none where a label stands beside it. */
  label?: string
}>()
const chosen = defineModel<Value>({ required: true })
</script>

<template>
  <SelectButton
    v-model="chosen"
    :options="[...options]"
    option-label="label"
    option-value="value"
    :allow-empty="false"
    size="small"
    :aria-label="label"
  />
</template>

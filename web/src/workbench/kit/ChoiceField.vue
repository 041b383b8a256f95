<script setup lang="ts" generic="Value extends string | number | boolean">
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { useId } from 'vue'

/** One of several, its label beside it: as buttons where there are few of them, else as a list. */
const {
  label,
  options,
  buttons = false,
} = defineProps<{
  label: string
  options: readonly { value: Value; label: string }[]
  buttons?: boolean
  placeholder?: string
}>()
const chosen = defineModel<Value>({ required: true })
const id = useId()
</script>

<template>
  <div class="choice">
    <span v-if="buttons" :id="`${id}-label`" class="label">{{ label }}</span>
    <label v-else :id="`${id}-label`" class="label" :for="id">{{ label }}</label>
    <SelectButton
      v-if="buttons"
      v-model="chosen"
      :aria-labelledby="`${id}-label`"
      :options="[...options]"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
    />
    <Select
      v-else
      v-model="chosen"
      :input-id="id"
      :aria-labelledby="`${id}-label`"
      :options="[...options]"
      option-label="label"
      option-value="value"
      :placeholder="placeholder"
      size="small"
      class="chosen"
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
.chosen {
  width: 204px;
}
</style>

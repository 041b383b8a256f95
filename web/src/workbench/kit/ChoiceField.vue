<script setup lang="ts" generic="Value extends string | number | boolean">
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { useId } from 'vue'
import FieldFrame from './FieldFrame.vue'

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
  <FieldFrame :label="label" :control="id" :group="buttons">
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
  </FieldFrame>
</template>

<style scoped>
.chosen {
  width: 204px;
}
</style>

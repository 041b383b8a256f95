<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'
import FieldFrame from './FieldFrame.vue'

/** A short text, kept when the field is left: its label above it, or beside it where the text is a word. */
const {
  label,
  wrong = '',
  beside = false,
  required = false,
} = defineProps<{
  label: string
  /** What is wrong with what was typed; empty for nothing. */
  wrong?: string
  beside?: boolean
  /** Left empty, the text that was there comes back. */
  required?: boolean
  maxlength?: number
  placeholder?: string
}>()
const text = defineModel<string>({ required: true })
const id = useId()
function take(event: Event) {
  const box = event.target as HTMLInputElement
  const typed = box.value.trim()
  if (typed === '' && required) box.value = text.value
  else text.value = typed
}
</script>

<template>
  <FieldFrame :label="label" :control="id" :above="!beside">
    <InputText
      :id="id"
      :model-value="text"
      size="small"
      :class="beside ? 'word' : 'line-of-text'"
      :maxlength="maxlength"
      :placeholder="placeholder"
      :required="required"
      :aria-invalid="wrong !== ''"
      @change="take($event)"
    />
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
  </FieldFrame>
</template>

<style scoped>
.word {
  width: 130px;
}
.line-of-text {
  width: 100%;
}
</style>

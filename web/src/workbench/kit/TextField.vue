<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'
import FieldFrame from './FieldFrame.vue'

/** A short text, kept when the field is left: its label above it, or beside it where the text is a word. */
const {
  label,
  wrong = '',
  beside = false,
} = defineProps<{
  label: string
  /** What is wrong with what was typed; empty for nothing. */
  wrong?: string
  beside?: boolean
  maxlength?: number
  placeholder?: string
}>()
const text = defineModel<string>({ required: true })
const id = useId()
const typed = (event: Event) => (event.target as HTMLInputElement).value.trim()
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
      :aria-invalid="wrong !== ''"
      @change="text = typed($event)"
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

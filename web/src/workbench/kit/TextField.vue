<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'

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
  <div :class="beside ? 'choice' : 'field'">
    <label :class="{ label: beside }" :for="id">{{ label }}</label>
    <InputText
      :id="id"
      :model-value="text"
      size="small"
      :maxlength="maxlength"
      :placeholder="placeholder"
      :aria-invalid="wrong !== ''"
      @change="text = typed($event)"
    />
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.choice input {
  width: 130px;
}
.field input {
  width: 100%;
}
</style>

<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'

/** A colour, picked or written as #8a5200. */
const { label } = defineProps<{ label: string }>()
const colour = defineModel<string>({ required: true })
const id = useId()
const HEX = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i
/** What is half written stays in the field and goes nowhere. */
function written(text: string) {
  const digits = text.trim().replace('#', '')
  if (HEX.test(digits))
    colour.value = `#${digits.length === 3 ? [...digits].map(one => one + one).join('') : digits}`.toLowerCase()
}
</script>

<template>
  <div class="colour">
    <label :for="`${id}-text`">{{ label }}</label>
    <input
      type="color"
      :value="colour"
      :aria-label="`${label}, picked`"
      @input="colour = ($event.target as HTMLInputElement).value"
    />
    <InputText
      :id="`${id}-text`"
      size="small"
      class="number"
      :model-value="colour"
      maxlength="7"
      @change="written(($event.target as HTMLInputElement).value)"
    />
  </div>
</template>

<style scoped>
.colour {
  display: grid;
  grid-template-columns: 1fr 34px 92px;
  gap: 8px;
  align-items: center;
  font-size: 13px;
}
input[type='color'] {
  width: 34px;
  height: 30px;
  padding: 2px;
  border: 1px solid var(--edge);
  border-radius: 7px;
  background: #fff;
  cursor: pointer;
}
</style>

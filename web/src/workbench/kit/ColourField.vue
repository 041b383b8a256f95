<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, useId } from 'vue'
import ContrastLine from './ContrastLine.vue'

/** A colour, picked or written as #8a5200, with its contrast against what it meets. */
const {
  label,
  contrast = null,
  needed = 4.5,
} = defineProps<{
  label: string
  /** As it is, and the nearest colour that passes; null where nobody reckons it. */
  contrast?: { ratio: number; nearest: string | null } | null
  needed?: number
  /** Whose contrast it is, where that is not plain. */
  contrastOf?: string
}>()
const colour = defineModel<string>({ required: true })
const id = useId()
const fixes = computed(() => (contrast?.nearest ? [{ label: 'Take', colour: contrast.nearest }] : []))
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
  <ContrastLine
    v-if="contrast"
    :ratio="contrast.ratio"
    :needed="needed"
    :of="contrastOf"
    :fixes="fixes"
    @take="colour = $event.colour"
  />
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

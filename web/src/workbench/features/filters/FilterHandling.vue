<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Filter } from '../../../shared/contract'
import { usualTexts } from '../../../shared/usualTexts'
import ChoiceField from '../../kit/ChoiceField.vue'
import TextField from '../../kit/TextField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { CONTROL_NAMES, stepsFrom, type Control } from './filters'

/** What visitors handle a filter with, and what that needs. */
const { control, fitting } = defineProps<{
  /** The one that holds; null while no item has a value. */
  control: Control | null
  /** Controls for the field's kind, the usual one first. */
  fitting: readonly Control[]
}>()
const filter = defineModel<Filter>({ required: true })
const settings = settingsOf(filter)
const controls = computed(() => fitting.map(value => ({ value, label: CONTROL_NAMES[value] })))
const SEVERAL: readonly { value: Filter['several']; label: string }[] = [
  { value: 'any', label: 'One is enough' },
  { value: 'all', label: 'All must hold' },
]
const UNITS = [
  { value: 'km', label: 'Kilometres' },
  { value: 'mi', label: 'Miles' },
]
const isOne = (...some: Control[]) => control !== null && some.includes(control)
const wrongSteps = ref('')
function step(text: string) {
  const bands = stepsFrom(text)
  wrongSteps.value = bands === null ? 'Numbers that go up, a space between them: 10 20 50' : ''
  if (bands) settings.bands = bands
}
const wrongRadii = ref('')
function reach(text: string) {
  const radii = stepsFrom(text)
  const right = radii !== null && radii.length > 0 && radii[0]! > 0
  wrongRadii.value = right ? '' : 'Distances that go up, a space between them: 1 5 20'
  if (right) settings.radii = radii
}
</script>

<template>
  <ChoiceField
    v-if="controls.length > 1 && control"
    label="Handled with"
    :options="controls"
    :model-value="control"
    @update:model-value="settings.control = $event"
  />
  <TextField
    v-if="isOne('range', 'bands', 'at-least', 'at-most')"
    v-model="settings.unit"
    label="Behind the numbers"
    beside
    :maxlength="12"
    placeholder="EUR, km, min"
  />
  <TextField
    v-if="isOne('bands')"
    label="Steps end at"
    placeholder="round numbers that fit"
    :wrong="wrongSteps"
    :model-value="filter.bands.join('  ')"
    @update:model-value="step($event)"
  />
  <TextField
    v-if="isOne('one-of', 'menu', 'distance')"
    v-model="settings.neutral"
    label="For none of them"
    beside
    :maxlength="40"
    :placeholder="filter.control === 'distance' ? usualTexts.anyDistance : usualTexts.any"
  />
  <ChoiceField
    v-if="isOne('list', 'chips', 'pictures')"
    v-model="settings.several"
    label="Several ticked"
    buttons
    :options="SEVERAL"
  />
  <template v-if="isOne('distance')">
    <ChoiceField
      label="Measured in"
      buttons
      :options="UNITS"
      :model-value="filter.unit === 'mi' ? 'mi' : 'km'"
      @update:model-value="settings.unit = $event"
    />
    <TextField
      label="Distances to choose from"
      :wrong="wrongRadii"
      :model-value="filter.radii.join('  ')"
      @update:model-value="reach($event)"
    />
  </template>
</template>

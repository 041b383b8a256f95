<script setup lang="ts">
import { ref } from 'vue'
import type { SourceOf } from '../../../../shared/contract'
import { usualTexts } from '../../../../shared/usualTexts'
import ChoiceField from '../../../kit/ChoiceField.vue'
import LimitedText from '../../design-rules/LimitedText.vue'
import TextField from '../../../kit/TextField.vue'
import { settingsOf } from '../../../kit/settingsOf'
import { stepsFrom } from '../filters'

/** Of distances: which there are to choose from, and in what they are told. */
const source = defineModel<SourceOf<'distance'>>({ required: true })
const settings = settingsOf(source)
const UNITS = [
  { value: 'km' as const, label: 'Kilometres' },
  { value: 'mi' as const, label: 'Miles' },
]
const wrong = ref('')
function reach(text: string) {
  const radii = stepsFrom(text)
  const right = radii !== null && radii.length > 0 && radii[0]! > 0
  wrong.value = right ? '' : 'Distances that go up, a space between them: 1 5 20'
  if (right) settings.radii = radii
}
</script>

<template>
  <LimitedText
    v-model="settings.neutral"
    label="For none of them"
    beside
    path="filters.source.neutral"
    :placeholder="usualTexts.anyDistance"
  />
  <ChoiceField v-model="settings.measured" label="Measured in" buttons :options="UNITS" />
  <TextField
    label="Distances to choose from"
    :wrong="wrong"
    :model-value="source.radii.join('  ')"
    @update:model-value="reach($event)"
  />
</template>

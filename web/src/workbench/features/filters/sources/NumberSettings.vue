<script setup lang="ts">
import { ref } from 'vue'
import type { SourceOf } from '../../../../shared/contract'
import TextField from '../../../kit/TextField.vue'
import LimitedText from '../../design-rules/LimitedText.vue'
import { settingsOf } from '../../../kit/settingsOf'
import { stepsFrom } from '../filters'
import ControlChoice from './ControlChoice.vue'
import StartChoice from './StartChoice.vue'

/** Of numbers and amounts: what they are handled with, their unit and steps. */
defineProps<{
  /** The key of the filter. */
  filter: string
}>()
const source = defineModel<SourceOf<'number'>>({ required: true })
const settings = settingsOf(source)
const wrong = ref('')
function step(text: string) {
  const bands = stepsFrom(text)
  wrong.value = bands === null ? 'Numbers that go up, a space between them: 10 20 50' : ''
  if (bands) settings.bands = bands
}
</script>

<template>
  <ControlChoice v-model="settings.control" kind="number" />
  <LimitedText
    v-model="settings.unit"
    label="Behind the numbers"
    beside
    path="filters.source.unit"
    placeholder="EUR, km, min"
  />
  <TextField
    v-if="source.control === 'bands'"
    label="Steps end at"
    placeholder="round numbers that fit"
    :wrong="wrong"
    :model-value="source.bands.join('  ')"
    @update:model-value="step($event)"
  />
  <StartChoice v-model="source" :filter="filter" />
</template>

<script setup lang="ts">
import { ref } from 'vue'
import type { DesignRules, SourceOf } from '../../../../shared/contract'
import TextField from '../../../kit/TextField.vue'
import { settingsOf } from '../../../kit/settingsOf'
import { stepsFrom } from '../filters'
import ControlChoice from './ControlChoice.vue'
import StartChoice from './StartChoice.vue'

/** Of numbers and amounts: what they are handled with, their unit and steps. */
defineProps<{
  rules: DesignRules
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
  <ControlChoice v-model="settings.control" :fitting="rules.filters.controls['number']!" />
  <TextField
    v-model="settings.unit"
    label="Behind the numbers"
    beside
    :maxlength="rules.limits['filters.source.unit']!.most"
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

<script setup lang="ts">
import { computed } from 'vue'
import type { PartGroup } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { settingsOf } from '../../kit/settingsOf'

/** How the parts of a group follow one another. */
const { isBody = false } = defineProps<{
  /** Whether it is all that stands on the card, so that there is no room beside it. */
  isBody?: boolean
}>()
const group = defineModel<PartGroup>({ required: true })
const settings = settingsOf(group)
/** A row goes on below where its room ends, or it does not. */
const beside = computed({
  get: () => group.value.direction !== 'column',
  set: on => {
    settings.direction = on ? 'row' : 'column'
  },
})
const goesOnBelow = computed({
  get: () => group.value.direction === 'flow',
  set: on => {
    settings.direction = on ? 'flow' : 'row'
  },
})
const DIRECTIONS = [
  { value: true, label: 'Beside' },
  { value: false, label: 'Below' },
]
const GAPS: readonly { value: PartGroup['gap']; label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'small', label: 'Small' },
  { value: 'usual', label: 'Medium' },
  { value: 'large', label: 'Large' },
]
const WIDTHS: readonly { value: PartGroup['width']; label: string }[] = [
  { value: 'fitting', label: 'As its parts need' },
  { value: 'quarter', label: 'A quarter' },
  { value: 'third', label: 'A third' },
  { value: 'half', label: 'Half' },
  { value: 'full', label: 'All of it' },
]
const ALIGNED: readonly { value: PartGroup['align']; label: string }[] = [
  { value: 'start', label: 'At the start' },
  { value: 'center', label: 'In the middle' },
  { value: 'end', label: 'At the end' },
  { value: 'baseline', label: 'On one line of text' },
]
</script>

<template>
  <ChoiceField v-model="beside" :label="isBody ? 'Its parts stand' : 'They stand'" buttons :options="DIRECTIONS" />
  <ChoiceField v-model="settings.gap" label="Gap between them" :options="GAPS" />
  <ChoiceField v-model="settings.align" label="Across that" :options="ALIGNED" />
  <template v-if="!isBody">
    <ChoiceField v-model="settings.width" label="Width" :options="WIDTHS" />
    <SwitchField v-model="settings.grows" label="Takes the room that is left" />
    <SwitchField v-model="settings.shrinks" label="Gives way where room is short" />
  </template>
  <template v-if="beside">
    <SwitchField v-model="goesOnBelow" label="Goes on below where room ends" />
    <SwitchField v-model="settings.dots" label="A dot between them" />
  </template>
</template>

<script setup lang="ts">
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import SelectButton from 'primevue/selectbutton'
import { computed, useId } from 'vue'
import type { Card } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FieldFrame from '../../kit/FieldFrame.vue'
import { settingsOf } from '../../kit/settingsOf'
import LookChoice from './LookChoice.vue'
import { FOCUSED, FRAME_CHOICES, SIDES } from './frameNames'

/** What is around the parts of a card, each as the look has it until it is set. */
const frame = defineModel<Card['frame']>({ required: true })
const settings = settingsOf(frame)
const sides = useId()
const OWN_EDGES = [{ value: 'own', label: 'On chosen sides' }] as const
const edges = computed({
  get: () => (frame.value.edges === null ? null : 'own'),
  set: chosen => (settings.edges = chosen === null ? null : SIDES.map(side => side.value)),
})
const put = (key: (typeof FRAME_CHOICES)[number]['key'], value: string | null) =>
  (frame.value = { ...frame.value, [key]: value })
</script>

<template>
  <LookChoice
    v-for="{ key, label, options } in FRAME_CHOICES"
    :key="key"
    :label="label"
    :options="options"
    :model-value="frame[key]"
    @update:model-value="put(key, $event)"
  />
  <LimitedNumber
    v-model="settings.corners"
    label="Corners"
    unit="px"
    path="appearance.cards.frame.corners"
    empty="look"
  />
  <LookChoice v-model="edges" label="Edges" :options="OWN_EDGES" />
  <FieldFrame v-if="edges" label="Sides" :control="sides" group>
    <SelectButton
      v-model="settings.edges"
      :aria-labelledby="`${sides}-label`"
      :options="[...SIDES]"
      option-label="label"
      option-value="value"
      multiple
      size="small"
    />
  </FieldFrame>
  <ChoiceField v-model="settings.focused" label="The keyboard is seen" buttons :options="FOCUSED" />
</template>

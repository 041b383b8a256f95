<script setup lang="ts">
import SelectButton from 'primevue/selectbutton'
import { computed, useId } from 'vue'
import type { Card } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FieldFrame from '../../kit/FieldFrame.vue'
import NumberField from '../../kit/NumberField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { FOCUSED, FRAME_CHOICES, ROUNDEST, SIDES } from './frameNames'

/** What is around the parts of a card, each as the look has it until it is set. */
const frame = defineModel<Card['frame']>({ required: true })
const settings = settingsOf(frame)
const sides = useId()
/** A list takes null for nothing chosen. */
const AS_LOOK = '*'
const FOLLOWS = { value: AS_LOOK, label: 'As the look has it' }
const OWN_EDGES = [FOLLOWS, { value: 'own', label: 'On chosen sides' }]
const hasEdges = computed(() => frame.value.edges !== null)
type Choice = (typeof FRAME_CHOICES)[number]['key']
const put = (key: Choice, value: string) => (frame.value = { ...frame.value, [key]: value === AS_LOOK ? null : value })
</script>

<template>
  <ChoiceField
    v-for="{ key, label, options } in FRAME_CHOICES"
    :key="key"
    :label="label"
    :options="[FOLLOWS, ...options]"
    :model-value="frame[key] ?? AS_LOOK"
    @update:model-value="put(key, $event)"
  />
  <NumberField v-model="settings.corners" label="Corners" unit="px" :min="0" :max="ROUNDEST" empty="look" />
  <ChoiceField
    label="Edges"
    :options="OWN_EDGES"
    :model-value="hasEdges ? 'own' : AS_LOOK"
    @update:model-value="settings.edges = $event === AS_LOOK ? null : SIDES.map(side => side.value)"
  />
  <FieldFrame v-if="hasEdges" label="Sides" :control="sides" group>
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

<script setup lang="ts">
import { computed, ref, toRef } from 'vue'
import type { BoxColours, PlaceChoices, SearchBox } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import { settingsOf } from '../../kit/settingsOf'
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { PAINTS, STATES } from '../places/placeNames'
import PaintField from './PaintField.vue'

/** The colours of the box in each of its states. What could not be read on them gives way by itself. */
const { choices } = defineProps<{ choices: PlaceChoices }>()
const dress = defineModel<SearchBox['dress']>({ required: true })
const settings = settingsOf(dress)
const over = settingsOf(toRef(settings, 'over'))
const states = STATES.map(({ key, label }) => ({ value: key, label }))
const state = ref<(typeof STATES)[number]['key']>('rest')
const colours = computed(() => dress.value[state.value])
function put(key: keyof BoxColours, paint: string | null) {
  const changed = { ...colours.value, [key]: paint }
  // A gradient cannot end where it does not begin.
  if (changed.ground === null) changed.ending = null
  settings[state.value] = changed
}
const empty = computed(() => (state.value === 'rest' ? 'As the look has it' : 'As at rest'))
</script>

<template>
  <ButtonChoice v-model="state" label="In which state" :options="states" />
  <template v-for="{ key, label } in PAINTS" :key="`${state}.${key}`">
    <PaintField
      v-if="key !== 'ending' || colours.ground !== null"
      :label="label"
      :empty="key === 'ending' ? 'Nothing: it is plain' : empty"
      :tokens="choices.colours"
      :model-value="colours[key]"
      @update:model-value="put(key, $event)"
    />
  </template>
  <LimitedNumber
    v-if="dress.rest.ending !== null"
    v-model="settings.angle"
    label="It runs to"
    unit="°"
    path="places.box.dress.angle"
  />
  <p class="quiet">Words and signs that could not be read on a ground are moved to the nearest colour that can.</p>
  <h4>Over the page</h4>
  <PaintField v-model="over.ground" label="Ground around it" empty="As the look has it" :tokens="choices.colours" />
  <LimitedNumber v-model="over.spacing" label="Room around it" unit="px" path="places.box.dress.over.spacing" />
</template>

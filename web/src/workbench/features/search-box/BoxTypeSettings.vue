<script setup lang="ts">
import { computed, toRef } from 'vue'
import type { PlaceChoices, SearchBox } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { settingsOf } from '../../kit/settingsOf'
import FontField from '../look/FontField.vue'
import { WEIGHTS } from '../look/lookNames'
import LimitedNumber from '../design-rules/LimitedNumber.vue'

/** In which letters the words in the box are written; each is the look's until it is set. */
const { choices } = defineProps<{ choices: PlaceChoices }>()
const dress = defineModel<SearchBox['dress']>({ required: true })
const settings = settingsOf(dress)
const type = settingsOf(toRef(settings, 'type'))
const sizes = settingsOf(toRef(settings, 'sizes'))
/** A list takes no null; no weight is 0. */
const AS_LOOK = 0
const weights = [{ value: AS_LOOK, label: 'As usual text' }, ...WEIGHTS]
const weight = computed({
  get: () => dress.value.type.weight ?? AS_LOOK,
  set: chosen => (type.weight = chosen === AS_LOOK ? null : chosen),
})
</script>

<template>
  <FontField v-model="type.font" label="Letters" empty="As the look has them" :fonts="choices.fonts" />
  <ChoiceField v-model="weight" label="Weight" :options="weights" />
  <LimitedNumber v-model="sizes.text" label="Size" empty="look" unit="px" path="places.box.dress.sizes.text" />
</template>

<script setup lang="ts">
import type { PlaceChoices, ResultsPage } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import { settingsOf } from '../../kit/settingsOf'
import SwitchLine from '../../kit/SwitchLine.vue'
import CategoryFilterField from '../places/CategoryFilterField.vue'
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { ARRANGEMENTS } from '../places/placeNames'

/** How the cards of a page stand, and what a picture on a wall does. */
const { choices } = defineProps<{ choices: PlaceChoices }>()
const layout = defineModel<ResultsPage['layout']>({ required: true })
const settings = settingsOf(layout)
</script>

<template>
  <ButtonChoice v-model="settings.arranged" label="How results stand" :options="ARRANGEMENTS" />
  <LimitedNumber
    v-if="layout.arranged !== 'list'"
    v-model="settings.columns"
    label="Columns at most"
    empty="as many as fit"
    path="places.page.layout.columns"
  />
  <template v-if="layout.arranged === 'wall'">
    <SwitchLine
      v-model="settings.viewer"
      label="Pictures open large"
      hint="Over the page, one after the other: by arrow keys, buttons or a finger."
    />
    <CategoryFilterField
      v-if="layout.viewer"
      v-model="settings.tags"
      label="Tags below them"
      :categories="choices.categories"
      none="None"
    />
  </template>
</template>

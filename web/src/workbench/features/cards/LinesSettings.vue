<script setup lang="ts">
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import type { CardPart } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { settingsOf } from '../../kit/settingsOf'

/** How much of a title or text is seen, and what heading a title is. */
const part = defineModel<Extract<CardPart, { part: 'title' | 'excerpt' }>>({ required: true })
const lines = settingsOf<{ lines: number }>(part)
const heading = settingsOf<{ level: number }>(part as { value: { level: number } })
const LEVELS = [2, 3, 4, 5, 6].map(value => ({ value, label: `Heading ${value}` }))
</script>

<template>
  <LimitedNumber v-model="lines.lines" label="Lines at most" :path="`appearance.cards.${part.part}.lines`" />
  <ChoiceField v-if="part.part === 'title'" v-model="heading.level" label="In the page’s outline" :options="LEVELS" />
</template>

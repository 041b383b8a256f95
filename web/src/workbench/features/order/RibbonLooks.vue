<script setup lang="ts">
import LimitedText from '../design-rules/LimitedText.vue'
import { computed } from 'vue'
import type { Ribbon, TierFigures } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ColourField from '../../kit/ColourField.vue'
import ContrastLine from '../../kit/ContrastLine.vue'
import { settingsOf } from '../../kit/settingsOf'

/** The short label on a featured card: what it says, its colours, its size and side. */
const { contrast } = defineProps<{ contrast: TierFigures['contrasts'][number] | undefined }>()
const ribbon = defineModel<Ribbon>({ required: true })
const settings = settingsOf(ribbon)
interface Fix {
  part: 'color' | 'ground'
  label: string
  colour: string
}
const fixes = computed<Fix[]>(() => {
  if (!contrast?.nearest) return []
  const letters: Fix = { part: 'color', label: 'Letters', colour: contrast.nearest }
  const behind = contrast.nearestBehind
  return behind ? [letters, { part: 'ground', label: 'Behind', colour: behind }] : [letters]
})
const SIZES: readonly { value: Ribbon['size']; label: string }[] = [
  { value: 'small', label: 'Small' },
  { value: 'usual', label: 'Usual' },
  { value: 'large', label: 'Large' },
]
const SIDES: readonly { value: Ribbon['side']; label: string }[] = [
  { value: 'start', label: 'Where lines begin' },
  { value: 'end', label: 'Where they end' },
]
</script>

<template>
  <LimitedText v-model="settings.text" label="What it says" path="ranking.tiers.looks.ribbon.text" required />
  <ColourField v-model="settings.color" label="Its letters" />
  <ColourField v-model="settings.ground" label="Behind them" />
  <ContrastLine
    v-if="contrast"
    :ratio="contrast.ratio"
    :needed="4.5"
    :fixes="fixes"
    @take="settings[$event.part] = $event.colour"
  />
  <ButtonChoice v-model="settings.size" label="Size of the ribbon" :options="SIZES" />
  <ButtonChoice v-model="settings.side" label="Side of the ribbon" :options="SIDES" />
</template>

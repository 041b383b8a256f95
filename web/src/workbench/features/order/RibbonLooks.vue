<script setup lang="ts">
import { computed } from 'vue'
import type { Ribbon, TierFigures } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ColourField from '../../kit/ColourField.vue'
import ContrastLine from '../../kit/ContrastLine.vue'
import TextField from '../../kit/TextField.vue'

/** The short label on a featured card: what it says, its colours, its size and side. */
const { contrast } = defineProps<{ contrast: TierFigures['contrasts'][number] | undefined }>()
const ribbon = defineModel<Ribbon>({ required: true })
const put = (changed: Partial<Ribbon>) => {
  ribbon.value = { ...ribbon.value, ...changed }
}
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
  <TextField
    label="What it says"
    :maxlength="60"
    :model-value="ribbon.text"
    @update:model-value="$event && put({ text: $event })"
  />
  <ColourField label="Its letters" :model-value="ribbon.color" @update:model-value="put({ color: $event })" />
  <ColourField label="Behind them" :model-value="ribbon.ground" @update:model-value="put({ ground: $event })" />
  <ContrastLine
    v-if="contrast"
    :ratio="contrast.ratio"
    :needed="4.5"
    :fixes="fixes"
    @take="put({ [$event.part]: $event.colour })"
  />
  <ButtonChoice
    label="Size of the ribbon"
    :options="SIZES"
    :model-value="ribbon.size"
    @update:model-value="put({ size: $event })"
  />
  <ButtonChoice
    label="Side of the ribbon"
    :options="SIDES"
    :model-value="ribbon.side"
    @update:model-value="put({ side: $event })"
  />
</template>

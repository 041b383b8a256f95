<script setup lang="ts">
import LimitedText from '../design-rules/LimitedText.vue'
import { computed } from 'vue'
import type { CardMaterial, CardPart } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { fieldOf, formatKey } from './partNames'

/** How a field's value is written on a card, and what stands beside it. */
const { materials } = defineProps<{ materials: readonly CardMaterial[] }>()
const part = defineModel<Extract<CardPart, { part: 'value' }>>({ required: true })
const settings = settingsOf(part)
const formats = computed(() => fieldOf(part.value.field, materials)?.formats ?? [])
const written = computed(() => formats.value.map(one => ({ value: formatKey(one.format), label: one.example })))
const format = computed({
  get: () => formatKey(part.value.format),
  set: key => {
    const found = formats.value.find(one => formatKey(one.format) === key)
    if (found) settings.format = found.format
  },
})
</script>

<template>
  <ChoiceField v-if="written.length > 1" v-model="format" label="Written as" :options="written" />
  <LimitedText
    v-model="settings.before"
    label="Before it"
    beside
    path="appearance.cards.value.before"
    placeholder="from"
  />
  <LimitedText
    v-model="settings.after"
    label="Behind it"
    beside
    path="appearance.cards.value.after"
    placeholder="a week"
  />
</template>

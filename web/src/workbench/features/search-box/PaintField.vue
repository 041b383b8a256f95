<script setup lang="ts">
import { computed } from 'vue'
import type { PlaceChoices } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import ColourField from '../../kit/ColourField.vue'

/** A colour: one of the look's, which goes along with light and dark, or one of its own. */
const { label, empty, tokens } = defineProps<{
  label: string
  /** What none means. */
  empty: string
  tokens: PlaceChoices['colours']
}>()
const paint = defineModel<string | null>({ required: true })
/** A list takes no null; no token is called so. */
const NONE = '*'
const OWN = '#'
const FIRST_OWN = '#0e5f63'
const options = computed(() => [
  { value: NONE, label: empty },
  ...tokens.map(one => ({ value: one.token, label: `Look: ${one.called.toLowerCase()}` })),
  { value: OWN, label: 'A colour of its own' },
])
const isOwn = computed(() => paint.value?.startsWith('#') ?? false)
const choose = (chosen: string) => (paint.value = chosen === NONE ? null : chosen === OWN ? FIRST_OWN : chosen)
</script>

<template>
  <ChoiceField
    :label="label"
    :options="options"
    :model-value="isOwn ? OWN : (paint ?? NONE)"
    @update:model-value="choose"
  />
  <ColourField v-if="isOwn" v-model="paint as string" :label="`${label}, its own`" />
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { LookChoices } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import TextField from '../../kit/TextField.vue'

/** Families of letters, chosen by a name that we know or typed. */
const {
  label,
  fonts,
  empty = null,
} = defineProps<{
  label: string
  fonts: LookChoices['fonts']
  /** What it is while no families are chosen, where that can be. */
  empty?: string | null
}>()
const families = defineModel<string | null>({ required: true })
/** Choices that are no families: no list of them is called so. */
const TYPED = '*'
const NONE = '-'
const options = computed(() => [
  ...(empty === null ? [] : [{ value: NONE, label: empty }]),
  ...fonts.map(font => ({ value: font.families, label: font.name })),
  { value: TYPED, label: 'By name' },
])
const chosen = computed({
  get: () => {
    if (families.value === null) return NONE
    return fonts.some(font => font.families === families.value) ? families.value : TYPED
  },
  // Something to begin from, where families are to be typed.
  set: choice => (families.value = choice === NONE ? null : choice === TYPED ? 'Georgia, serif' : choice),
})
</script>

<template>
  <ChoiceField v-model="chosen" :label="label" :options="options" />
  <TextField
    v-if="chosen === TYPED"
    :label="`Families for ${label.toLowerCase()}`"
    :maxlength="200"
    placeholder="Charter, Georgia, serif"
    :model-value="families ?? ''"
    @update:model-value="families = $event"
  />
</template>

<script setup lang="ts">
import type { Lettering } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { settingsOf } from '../../kit/settingsOf'

/** How a text on a card is set. */
const lettering = defineModel<Lettering>({ required: true })
const settings = settingsOf(lettering)
const LETTERS: readonly { value: Lettering['size']; label: string }[] = [
  { value: 'small', label: 'Small' },
  { value: 'usual', label: 'Medium' },
  { value: 'large', label: 'Large' },
]
const TONES: readonly { value: Lettering['tone']; label: string }[] = [
  { value: 'text', label: 'As text' },
  { value: 'quiet', label: 'Quiet' },
  { value: 'accent', label: 'Accent' },
]
</script>

<template>
  <ChoiceField v-model="settings.size" label="Letters" buttons :options="LETTERS" />
  <ChoiceField v-model="settings.tone" label="Colour" buttons :options="TONES" />
  <SwitchField v-model="settings.bold" label="Bold" />
</template>

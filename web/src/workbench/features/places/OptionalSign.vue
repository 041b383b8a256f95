<script setup lang="ts">
import { computed } from 'vue'
import type { CardChoices, Sign } from '../../../shared/contract'
import SwitchLine from '../../kit/SwitchLine.vue'
import SignField from '../cards/SignField.vue'

/** A sign, or none. */
const { label, signs } = defineProps<{ label: string; signs: CardChoices['signs'] }>()
const sign = defineModel<Sign | null>({ required: true })
const FIRST: Sign = 'lamp'
const isThere = computed({
  get: () => sign.value !== null,
  set: on => (sign.value = on ? FIRST : null),
})
</script>

<template>
  <SwitchLine v-model="isThere" :label="label" />
  <SignField v-if="sign !== null" v-model="sign" label="Which" :signs="signs" />
</template>

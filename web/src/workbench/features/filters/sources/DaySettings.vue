<script setup lang="ts">
import type { FilterRules, SourceOf } from '../../../../shared/contract'
import { settingsOf } from '../../../kit/settingsOf'
import ControlChoice from './ControlChoice.vue'
import StartChoice from './StartChoice.vue'

/** Of days: what they are handled with. */
defineProps<{
  rules: FilterRules
  /** The key of the filter. */
  filter: string
}>()
const source = defineModel<SourceOf<'day'>>({ required: true })
const settings = settingsOf(source)
</script>

<template>
  <ControlChoice v-model="settings.control" :fitting="rules.controls['date']!" />
  <StartChoice v-model="source" :filter="filter" />
</template>

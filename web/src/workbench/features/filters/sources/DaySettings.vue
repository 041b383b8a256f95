<script setup lang="ts">
import type { DesignRules, SourceOf } from '../../../../shared/contract'
import { settingsOf } from '../../../kit/settingsOf'
import ControlChoice from './ControlChoice.vue'
import StartChoice from './StartChoice.vue'

/** Of days: what they are handled with. */
defineProps<{
  rules: DesignRules
  /** The key of the filter. */
  filter: string
}>()
const source = defineModel<SourceOf<'day'>>({ required: true })
const settings = settingsOf(source)
</script>

<template>
  <ControlChoice v-model="settings.control" :fitting="rules.filters.controls['date']!" />
  <StartChoice v-model="source" :filter="filter" />
</template>

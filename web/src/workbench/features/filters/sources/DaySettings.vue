<script setup lang="ts">
import type { SourceOf } from '../../../../shared/contract'
import { settingsOf } from '../../../kit/settingsOf'
import ControlChoice from './ControlChoice.vue'
import StartChoice from './StartChoice.vue'

/** Of days: what they are handled with. */
defineProps<{
  /** The key of the filter. */
  filter: string
}>()
const source = defineModel<SourceOf<'day'>>({ required: true })
const settings = settingsOf(source)
</script>

<template>
  <ControlChoice v-model="settings.control" kind="date" />
  <StartChoice v-model="source" :filter="filter" />
</template>

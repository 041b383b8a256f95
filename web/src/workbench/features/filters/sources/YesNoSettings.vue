<script setup lang="ts">
import type { SourceOf } from '../../../../shared/contract'
import { settingsOf } from '../../../kit/settingsOf'
import ControlChoice from './ControlChoice.vue'
import StartChoice from './StartChoice.vue'

/** Of a yes/no field: what its answers are handled with. */
defineProps<{
  /** The key of the filter. */
  filter: string
}>()
const source = defineModel<SourceOf<'yes-no'>>({ required: true })
const settings = settingsOf(source)
</script>

<template>
  <ControlChoice v-model="settings.control" kind="yes-no" />
  <StartChoice v-model="source" :filter="filter" />
</template>

<script setup lang="ts" generic="Own extends Control">
import { computed } from 'vue'
import ChoiceField from '../../../kit/ChoiceField.vue'
import { CONTROL_NAMES, type Control } from '../filters'

/** What visitors handle a filter with, among what fits its source. */
const { fitting } = defineProps<{
  /** The usual one first. */
  fitting: readonly Control[]
}>()
const control = defineModel<Own>({ required: true })
const options = computed(() => fitting.map(value => ({ value: value, label: CONTROL_NAMES[value] })))
</script>

<template>
  <ChoiceField v-model="control" label="Handled with" :options="options" />
</template>

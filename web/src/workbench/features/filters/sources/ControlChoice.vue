<script setup lang="ts" generic="Own extends Control">
import { computed } from 'vue'
import type { FieldKind } from '../../../../shared/contract'
import ChoiceField from '../../../kit/ChoiceField.vue'
import { useDesignRules } from '../../design-rules/useDesignRules'
import { CONTROL_NAMES, type Control } from '../filters'

/** What visitors handle a filter with, among what fits its source. */
const { kind } = defineProps<{
  /** Of the field, by which the controls go. */
  kind: FieldKind
}>()
const control = defineModel<Own>({ required: true })
const { rules } = useDesignRules()
const options = computed(() =>
  (rules.value?.filters.controls[kind] ?? []).map(value => ({ value: value, label: CONTROL_NAMES[value] })),
)
</script>

<template>
  <ChoiceField v-model="control" label="Handled with" :options="options" />
</template>

<script setup lang="ts">
import type { DesignRules, SourceOf } from '../../../../shared/contract'
import ChoiceField from '../../../kit/ChoiceField.vue'
import NumberField from '../../../kit/NumberField.vue'
import SwitchField from '../../../kit/SwitchField.vue'
import { settingsOf } from '../../../kit/settingsOf'
import { ORDERS, WITHOUT } from '../listNames'

/** How the values of categories stand. */
defineProps<{
  control: SourceOf<'category'>['control']
  /** Whether their order is set here. */
  ordered: boolean
  rules: DesignRules
}>()
const list = defineModel<SourceOf<'category'>['list']>({ required: true })
const settings = settingsOf(list)
</script>

<template>
  <ChoiceField v-if="ordered" v-model="settings.order" label="Listed" :options="ORDERS" />
  <ChoiceField v-model="settings.withoutResults" label="Without results" :options="WITHOUT" />
  <NumberField
    v-if="control !== 'menu'"
    v-model="settings.cutAfter"
    label="Shown at first"
    :min="rules.limits['filters.source.list.cutAfter']!.least"
    :max="rules.limits['filters.source.list.cutAfter']!.most"
  />
  <NumberField
    v-if="control === 'list'"
    v-model="settings.searchFrom"
    label="Searched by name from"
    :min="rules.limits['filters.source.list.searchFrom']!.least"
    :max="rules.limits['filters.source.list.searchFrom']!.most"
  />
  <SwitchField v-model="settings.counts" label="Number of items beside each" />
</template>

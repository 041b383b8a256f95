<script setup lang="ts">
import type { SourceOf } from '../../../../shared/contract'
import ChoiceField from '../../../kit/ChoiceField.vue'
import LimitedNumber from '../../design-rules/LimitedNumber.vue'
import SwitchField from '../../../kit/SwitchField.vue'
import { settingsOf } from '../../../kit/settingsOf'
import { ORDERS, WITHOUT } from '../listNames'

/** How the values of categories stand. */
defineProps<{
  control: SourceOf<'category'>['control']
  /** Whether their order is set here. */
  ordered: boolean
}>()
const list = defineModel<SourceOf<'category'>['list']>({ required: true })
const settings = settingsOf(list)
</script>

<template>
  <ChoiceField v-if="ordered" v-model="settings.order" label="Listed" :options="ORDERS" />
  <ChoiceField v-model="settings.withoutResults" label="Without results" :options="WITHOUT" />
  <LimitedNumber
    v-if="control !== 'menu'"
    v-model="settings.cutAfter"
    label="Shown at first"
    path="filters.source.list.cutAfter"
  />
  <LimitedNumber
    v-if="control === 'list'"
    v-model="settings.searchFrom"
    label="Searched by name from"
    path="filters.source.list.searchFrom"
  />
  <SwitchField v-model="settings.counts" label="Number of items beside each" />
</template>

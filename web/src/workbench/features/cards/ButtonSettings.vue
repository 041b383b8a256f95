<script setup lang="ts">
import LimitedText from '../design-rules/LimitedText.vue'
import { computed } from 'vue'
import type { CardMaterial, CardPart } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { settingsOf } from '../../kit/settingsOf'

/** What a button says, and where it leads. */
const { materials } = defineProps<{ materials: readonly CardMaterial[] }>()
const button = defineModel<Extract<CardPart, { part: 'button' }>>({ required: true })
const settings = settingsOf(button)
/** A list takes null for nothing chosen; no field can have this name. */
const PAGE = '*'
const links = computed(() => {
  const fields = materials.flatMap(one => one.fields).filter(one => one.kind === 'link')
  const labels = new Map(fields.map(one => [one.part.field, one.label]))
  return [{ value: PAGE, label: 'The item’s page' }, ...[...labels].map(([value, label]) => ({ value, label }))]
})
</script>

<template>
  <LimitedText v-model="settings.text" label="It says" path="appearance.cards.button.text" required />
  <ChoiceField
    label="It leads to"
    :options="links"
    :model-value="button.link ?? PAGE"
    @update:model-value="settings.link = $event === PAGE ? null : $event"
  />
</template>

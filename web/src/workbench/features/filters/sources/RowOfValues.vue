<script setup lang="ts" generic="Source extends SourceOf<'number'> | SourceOf<'day'>">
import type { DesignRules, SourceOf } from '../../../../shared/contract'
import ChoiceField from '../../../kit/ChoiceField.vue'
import NumberField from '../../../kit/NumberField.vue'

/** How steps and months stand, which are a fixed row of values. */
defineProps<{ rules: DesignRules }>()
const source = defineModel<Source>({ required: true })
const put = (changed: Partial<Pick<Source, 'hidesEmpty' | 'cutAfter'>>) => {
  source.value = { ...source.value, ...changed }
}
const EMPTY = [
  { value: false, label: 'Greyed' },
  { value: true, label: 'Not shown' },
]
</script>

<template>
  <ChoiceField
    label="Without results"
    :options="EMPTY"
    :model-value="source.hidesEmpty"
    @update:model-value="put({ hidesEmpty: $event })"
  />
  <NumberField
    label="Shown at first"
    :min="rules.limits['filters.source.cutAfter']!.least"
    :max="rules.limits['filters.source.cutAfter']!.most"
    :model-value="source.cutAfter"
    @update:model-value="put({ cutAfter: $event })"
  />
</template>

<script setup lang="ts" generic="Source extends SourceOf<'number'> | SourceOf<'day'>">
import type { SourceOf } from '../../../../shared/contract'
import ChoiceField from '../../../kit/ChoiceField.vue'
import LimitedNumber from '../../design-rules/LimitedNumber.vue'

/** How steps and months stand, which are a fixed row of values. */
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
  <LimitedNumber
    label="Shown at first"
    path="filters.source.cutAfter"
    :model-value="source.cutAfter"
    @update:model-value="put({ cutAfter: $event })"
  />
</template>

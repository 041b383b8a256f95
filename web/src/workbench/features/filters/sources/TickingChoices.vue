<script setup lang="ts" generic="Source extends SourceOf<'category'> | SourceOf<'joint'>">
import { computed } from 'vue'
import type { SourceOf } from '../../../../shared/contract'
import { usualTexts } from '../../../../shared/usualTexts'
import ChoiceField from '../../../kit/ChoiceField.vue'
import LimitedText from '../../design-rules/LimitedText.vue'
import ControlChoice from './ControlChoice.vue'
import StartChoice from './StartChoice.vue'

/** How values are ticked: with what, what several mean together, what is ticked at first. */
defineProps<{
  /** The key of the filter. */
  filter: string
}>()
const source = defineModel<Source>({ required: true })
const put = (changed: Partial<Pick<Source, 'control' | 'several' | 'neutral'>>) => {
  source.value = { ...source.value, ...changed }
}
const SEVERAL = [
  { value: 'any' as const, label: 'One is enough' },
  { value: 'all' as const, label: 'All must hold' },
]
const holdsOne = computed(() => source.value.control === 'one-of' || source.value.control === 'menu')
</script>

<template>
  <ControlChoice :model-value="source.control" kind="category" @update:model-value="put({ control: $event })" />
  <LimitedText
    v-if="holdsOne"
    label="For none of them"
    beside
    path="filters.source.neutral"
    :placeholder="usualTexts.any"
    :model-value="source.neutral"
    @update:model-value="put({ neutral: $event })"
  />
  <ChoiceField
    v-else
    label="Several ticked"
    buttons
    :options="SEVERAL"
    :model-value="source.several"
    @update:model-value="put({ several: $event })"
  />
  <StartChoice v-model="source" :filter="filter" :can-be-all="!holdsOne" />
</template>

<script setup lang="ts" generic="Source extends FilterSource">
import { computed, inject, ref } from 'vue'
import type { FilterSource } from '../../../../shared/contract'
import ChoiceField from '../../../kit/ChoiceField.vue'
import { STAGE } from '../../stage/stageAccess'

/** What is set in a filter as long as a visitor has set nothing. */
const { filter, canBeAll = false } = defineProps<{
  /** Its key, by which the stage knows what is set in it. */
  filter: string
  /** Whether it can start with every value. */
  canBeAll?: boolean
}>()
const source = defineModel<Source>({ required: true })
const stage = inject(STAGE)!
type Way = 'nothing' | 'all' | 'chosen'
const startsWithAll = computed(() => 'allAtStart' in source.value && source.value.allAtStart)
const way = computed<Way>(() => (startsWithAll.value ? 'all' : source.value.start.length > 0 ? 'chosen' : 'nothing'))
const ways = computed<{ value: Way; label: string }[]>(() => [
  { value: 'nothing', label: 'Nothing' },
  ...(canBeAll ? [{ value: 'all' as const, label: 'All ticked' }] : []),
  { value: 'chosen', label: 'What is set on the stage' },
])
const nothingOnStage = ref(false)
function begin(chosen: Way) {
  const onStage = stage.value?.ticked()[filter] ?? []
  const start = chosen === 'chosen' ? onStage.filter(value => value !== '') : []
  nothingOnStage.value = chosen === 'chosen' && start.length === 0
  if (nothingOnStage.value) return
  source.value =
    'allAtStart' in source.value ? { ...source.value, start, allAtStart: chosen === 'all' } : { ...source.value, start }
}
</script>

<template>
  <ChoiceField label="Starts with" :options="ways" :model-value="way" @update:model-value="begin($event)" />
  <small v-if="nothingOnStage" class="wrong" role="alert">
    Nothing is set in it on the stage. Set there what visitors should start with, then choose this.
  </small>
  <small v-else-if="way === 'chosen'" class="quiet">
    Starts with {{ source.start.join(', ') }}. “Clear all” goes back to it.
  </small>
</template>

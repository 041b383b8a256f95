<script setup lang="ts">
import { computed, inject, ref } from 'vue'
import type { FieldKind, Filter } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { STAGE } from '../stage/stageAccess'
import type { Control } from './filters'

/** What is set in a filter as long as a visitor has set nothing. */
const { kind, control } = defineProps<{ kind: FieldKind; control: Control | null }>()
const filter = defineModel<Filter>({ required: true })
const stage = inject(STAGE)!
type Way = 'nothing' | 'all' | 'chosen'
const way = computed<Way>(() =>
  filter.value.start.all ? 'all' : filter.value.start.chosen.length > 0 ? 'chosen' : 'nothing',
)
const canBeAll = computed(() => kind === 'category' && ['list', 'chips', 'pictures'].includes(control ?? ''))
const ways = computed<{ value: Way; label: string }[]>(() => [
  { value: 'nothing', label: 'Nothing' },
  ...(canBeAll.value ? [{ value: 'all' as const, label: 'All ticked' }] : []),
  { value: 'chosen', label: 'What is set on the stage' },
])
const nothingOnStage = ref(false)
function begin(with_: Way) {
  const onStage = stage.value?.ticked()[filter.value.key] ?? []
  const chosen = with_ === 'chosen' ? onStage.filter(value => value !== '') : []
  nothingOnStage.value = with_ === 'chosen' && chosen.length === 0
  if (!nothingOnStage.value) filter.value = { ...filter.value, start: { all: with_ === 'all', chosen } }
}
</script>

<template>
  <ChoiceField label="Starts with" :options="ways" :model-value="way" @update:model-value="begin($event)" />
  <small v-if="nothingOnStage" class="wrong" role="alert">
    Nothing is set in it on the stage. Set there what visitors should start with, then choose this.
  </small>
  <small v-else-if="way === 'chosen'" class="quiet">
    Starts with {{ filter.start.chosen.join(', ') }}. “Clear all” goes back to it.
  </small>
</template>

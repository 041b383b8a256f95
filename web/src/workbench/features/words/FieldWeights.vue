<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Slider from 'primevue/slider'
import { computed, ref, watch } from 'vue'
import type { FieldWeight } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import { WEIGHT_GROUPS, weightOf, weightSaid, withWeight, type WordField } from './wordFields'
import { useDesignRules } from '../design-rules/useDesignRules'

/** How much each field counts, one by one or all at once. */
const { search, weights, fields, collections } = defineProps<{
  search: string
  weights: readonly FieldWeight[]
  fields: readonly WordField[]
  /** How many are searched. */
  collections: number
}>()
/** With the part of the design that changes, so that one slide is undone at once. */
const emit = defineEmits<{ change: [part: string, weights: FieldWeight[]] }>()
const of = (key: string) => weightOf(weights, key)
/** The order of the rows stays while they are worked on: by weight as it was when the step was opened. */
const order = ref<string[]>([])
watch(
  () => fields,
  now => {
    const added = now.map(field => field.key).filter(key => !order.value.includes(key))
    order.value = [...order.value, ...added.sort((a, b) => of(b) - of(a))]
  },
  { immediate: true },
)
const rows = computed(() =>
  order.value.map(key => fields.find(field => field.key === key)).filter(field => field !== undefined),
)
const { data: counts } = useQuery({
  queryKey: ['reach', () => search, 'fields'],
  queryFn: () => api.fieldCounts(search),
  staleTime: 0,
})
function about({ key, in: where }: WordField): string {
  const items = counts.value?.find(one => one.field === key)?.items
  const place = where.length >= collections && where.length > 1 ? 'everywhere' : where.join(', ')
  return items === undefined ? place : `${formatNumber(items)} items · ${place}`
}
const weigh = (key: string, weight: number) => emit('change', `weight.${key}`, withWeight(weights, key, weight))
const weighAll = (by: (key: string, now: number) => number) =>
  emit(
    'change',
    'weights',
    rows.value.map(({ key }) => ({ field: key, weight: by(key, of(key)) })),
  )
const { limit } = useDesignRules()
</script>

<template>
  <div class="groups" role="group" aria-label="Fields as a group">
    <Button
      v-for="group in WEIGHT_GROUPS"
      :key="group.label"
      :label="group.label"
      :title="group.what"
      size="small"
      severity="secondary"
      outlined
      @click="weighAll(group.weigh)"
    />
  </div>
  <ul class="weights">
    <li v-for="row in rows" :key="row.key" :class="{ off: of(row.key) === 0 }">
      <span class="name">
        <b :id="`weight-${row.key}`">{{ row.label }}</b>
        <small class="quiet">{{ about(row) }}</small>
      </span>
      <span class="slide">
        <Slider
          :model-value="of(row.key)"
          :min="0"
          :max="limit('words.weights.weight')?.most"
          :step="1"
          :aria-labelledby="`weight-${row.key}`"
          @update:model-value="weigh(row.key, $event as number)"
        />
        <small class="quiet">{{ weightSaid(of(row.key)) }}</small>
      </span>
      <output class="number" :aria-label="`Weight of ${row.label}`">{{ of(row.key) }}</output>
    </li>
  </ul>
</template>

<style scoped>
.weights {
  list-style: none;
  margin: 16px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 24px;
  gap: 16px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.name b {
  display: block;
  font-weight: 600;
  line-height: 1.3;
  overflow-wrap: anywhere;
}
.name small {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 1;
  overflow: hidden;
  font-size: 12.5px;
}
.slide {
  display: grid;
  gap: 8px;
  padding-top: 8px;
}
.slide small {
  font-size: 12.5px;
  line-height: 1;
}
output {
  text-align: end;
  font-weight: 650;
}
.off output,
.off .name b {
  color: var(--quiet);
}
.off :deep(.p-slider-handle) {
  opacity: 0.8;
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 12px;
}
</style>

<script setup lang="ts">
import { useDesignRules } from '../design-rules/useDesignRules'
import Select from 'primevue/select'
import { computed, useId } from 'vue'
import type { OrderKey } from '../../../shared/contract'
import IconButton from '../../kit/IconButton.vue'
import { moved } from '../../kit/moved'
import ReorderableList from '../../kit/ReorderableList.vue'
import { idOf, said, type OrderOption } from './orders'

/** What decides an order: the first key, among equals the next, and so on. */
const { options, label } = defineProps<{ options: readonly OrderOption[]; label: string }>()
const keys = defineModel<OrderKey[]>({ required: true })
const { limit } = useDesignRules()
const id = useId()
const left = computed(() =>
  options.filter(option => !keys.value.some(key => key.by === option.key.by && key.field === option.key.field)),
)
/** What holds where nobody knows a place; a Select takes null for nothing chosen. */
const NOTHING = '*'
const fallbacks = computed(() => [
  { id: NOTHING, label: 'nothing' },
  ...options.filter(option => !['distance', 'relevance', 'tier', 'place-in-tier'].includes(option.key.by)),
])
const reversible = (key: OrderKey) => key.by === 'number' || key.by === 'title'
const change = (at: number, changed: Partial<OrderKey>) => {
  keys.value = keys.value.map((key, n) => (n === at ? { ...key, ...changed } : key))
}
const optionOf = (wanted: string) => options.find(option => option.id === wanted)?.key ?? null
</script>

<template>
  <ReorderableList
    :label="label"
    :items="keys"
    :key-of="idOf"
    :name-of="key => said(key, options)"
    @move="(from, to) => (keys = moved(keys, from, to))"
  >
    <template #default="{ item: key, at }">
      <small class="quiet">{{ at === 0 ? 'By' : 'then' }}</small>
      {{ said(key, options) }}
    </template>
    <template #before-steps="{ item: key, at }">
      <IconButton
        v-if="reversible(key)"
        icon="sort-alt"
        title="Reverse"
        :label="`Reverse ${said(key, options)}`"
        @click="change(at, { down: !key.down })"
      />
    </template>
    <template #after-steps="{ item: key, at }">
      <IconButton
        icon="times"
        :label="`Take ${said(key, options)} out`"
        :disabled="keys.length === 1"
        @click="keys = keys.filter((_, n) => n !== at)"
      />
    </template>
    <template #below="{ item: key, at }">
      <div v-if="key.by === 'distance'" class="fallback">
        <label :id="`${id}-f-${at}`">without a place:</label>
        <Select
          :aria-labelledby="`${id}-f-${at}`"
          :model-value="key.without ? idOf(key.without) : NOTHING"
          :options="fallbacks"
          option-label="label"
          option-value="id"
          size="small"
          @update:model-value="change(at, { without: optionOf($event) })"
        />
      </div>
    </template>
  </ReorderableList>
  <Select
    v-if="left.length > 0 && keys.length < (limit('ranking.order.withWords')?.most ?? 0)"
    :model-value="null"
    :options="left"
    option-label="label"
    option-value="id"
    size="small"
    class="add"
    placeholder="then by…"
    :aria-label="`${label}: then by`"
    @update:model-value="keys = [...keys, optionOf($event)!]"
  />
</template>

<style scoped>
small {
  display: inline-block;
  min-width: 28px;
}
.fallback {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 2px 6px 6px 58px;
  font-size: 13px;
}
.fallback label {
  white-space: nowrap;
}
.fallback :deep(.p-select) {
  min-width: 0;
}
.add {
  margin-top: 8px;
  width: 220px;
}
</style>

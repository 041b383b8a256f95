<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref, useId } from 'vue'
import type { OrderKey } from '../../../shared/contract'
import { idOf, said, type OrderOption } from './orders'

/** What decides an order: the first key, among equals the next, and so on. */
const { options, label } = defineProps<{ options: readonly OrderOption[]; label: string }>()
const keys = defineModel<OrderKey[]>({ required: true })
const MOST = 8
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
function move(at: number, by: number) {
  const moved = [...keys.value]
  const [one] = moved.splice(at, 1)
  if (one) moved.splice(at + by, 0, one)
  keys.value = moved
}
const change = (at: number, changed: Partial<OrderKey>) => {
  keys.value = keys.value.map((key, n) => (n === at ? { ...key, ...changed } : key))
}
const dragged = ref<number | null>(null)
function drop(at: number) {
  if (dragged.value !== null && dragged.value !== at) move(dragged.value, at - dragged.value)
  dragged.value = null
}
const optionOf = (wanted: string) => options.find(option => option.id === wanted)?.key ?? null
</script>

<template>
  <ol class="keys" :aria-label="label">
    <li v-for="(key, at) in keys" :key="idOf(key)" @dragover.prevent @drop.prevent="drop(at)">
      <span
        class="grip"
        draggable="true"
        title="Drag to another place"
        aria-hidden="true"
        @dragstart="dragged = at"
        @dragend="dragged = null"
      >
        <i class="pi pi-bars" />
      </span>
      <span class="what">
        <small class="quiet">{{ at === 0 ? 'By' : 'then' }}</small>
        {{ said(key, options) }}
      </span>
      <Button
        v-if="reversible(key)"
        icon="pi pi-sort-alt"
        text
        rounded
        size="small"
        severity="secondary"
        :aria-label="`Reverse ${said(key, options)}`"
        title="Reverse"
        @click="change(at, { down: !key.down })"
      />
      <Button
        icon="pi pi-arrow-up"
        text
        rounded
        size="small"
        severity="secondary"
        :disabled="at === 0"
        :aria-label="`Move ${said(key, options)} up`"
        @click="move(at, -1)"
      />
      <Button
        icon="pi pi-arrow-down"
        text
        rounded
        size="small"
        severity="secondary"
        :disabled="at === keys.length - 1"
        :aria-label="`Move ${said(key, options)} down`"
        @click="move(at, 1)"
      />
      <Button
        icon="pi pi-times"
        text
        rounded
        size="small"
        severity="secondary"
        :disabled="keys.length === 1"
        :aria-label="`Take ${said(key, options)} out`"
        @click="keys = keys.filter((_, n) => n !== at)"
      />
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
    </li>
  </ol>
  <Select
    v-if="left.length > 0 && keys.length < MOST"
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
.keys {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
  display: grid;
  gap: 4px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px;
  min-height: 36px;
  padding: 2px 4px 2px 0;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: #fff;
}
.grip {
  display: grid;
  place-items: center;
  width: 26px;
  align-self: stretch;
  color: var(--quiet);
  cursor: grab;
}
.grip i {
  font-size: 12px;
}
.what {
  flex: 1;
  min-width: 0;
}
.what small {
  display: inline-block;
  min-width: 28px;
}
li :deep(.p-button) {
  width: 28px;
  height: 28px;
  padding: 0;
  flex: none;
}
.fallback {
  display: flex;
  flex-basis: 100%;
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
  width: 220px;
}
</style>

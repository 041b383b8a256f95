<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import type { FieldKind, MappedField } from '../../../shared/contract'

/** How a column is written, as far as its kind leaves that open. */
const { field, columns } = defineProps<{ field: MappedField; columns: readonly string[] }>()
const emit = defineEmits<{ change: [changed: Partial<MappedField>] }>()

/** Texts that may be missing. */
type TextKey = 'separator' | 'levels' | 'unit' | 'currency'
const TEXTS: readonly { key: TextKey; kinds: readonly FieldKind[]; label: string; empty: string }[] = [
  {
    key: 'separator',
    kinds: ['category', 'text', 'date', 'code'],
    label: 'Several values are split at',
    empty: 'not split',
  },
  { key: 'levels', kinds: ['category'], label: 'Levels of a tree are split at', empty: 'flat' },
  { key: 'unit', kinds: ['number'], label: 'Unit', empty: 'none' },
  { key: 'currency', kinds: ['money'], label: 'Currency: a code, or a column', empty: 'as the amount says' },
]
/** Other columns that say more about the field. */
type ColumnKey = 'longitude' | 'placeName' | 'alternative'
const COLUMNS: readonly { key: ColumnKey; kind: FieldKind; label: string; none: string }[] = [
  { key: 'longitude', kind: 'place', label: 'Longitude from', none: 'this column has both' },
  { key: 'placeName', kind: 'place', label: 'Name from', none: 'no name' },
  { key: 'alternative', kind: 'image', label: 'Alternative text from', none: 'nowhere else' },
]
const DECIMALS = [
  { value: false, label: '1,234.5' },
  { value: true, label: '1.234,5' },
]
const DAYS = [
  { value: 'year-first', label: '2026-05-31' },
  { value: 'day-first', label: '31.5.2026' },
  { value: 'month-first', label: '5/31/2026' },
]
const texts = computed(() => TEXTS.filter(one => one.kinds.includes(field.kind)))
const others = computed(() => COLUMNS.filter(one => one.kind === field.kind))
const orNone = (none: string) => [{ value: '', label: none }, ...columns.map(value => ({ value, label: value }))]
const idOf = (what: string) => `${what}-${field.column}`
const typed = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="ways">
    <div v-for="one in texts" :key="one.key" class="field">
      <label :for="idOf(one.key)">{{ one.label }}</label>
      <InputText
        :id="idOf(one.key)"
        size="small"
        :model-value="field[one.key] ?? ''"
        :placeholder="one.empty"
        @change="emit('change', { [one.key]: typed($event) || null })"
      />
    </div>
    <div v-if="field.kind === 'number' || field.kind === 'money'" class="field">
      <label :for="idOf('comma')">Decimals</label>
      <Select
        :input-id="idOf('comma')"
        size="small"
        :model-value="field.decimalComma"
        :options="DECIMALS"
        option-label="label"
        option-value="value"
        @update:model-value="emit('change', { decimalComma: $event })"
      />
    </div>
    <div v-if="field.kind === 'date'" class="field">
      <label :for="idOf('dates')">Days are written</label>
      <Select
        :input-id="idOf('dates')"
        size="small"
        :model-value="field.dates"
        :options="DAYS"
        option-label="label"
        option-value="value"
        @update:model-value="emit('change', { dates: $event })"
      />
    </div>
    <div v-for="one in others" :key="one.key" class="field">
      <label :for="idOf(one.key)">{{ one.label }}</label>
      <Select
        :input-id="idOf(one.key)"
        size="small"
        :model-value="field[one.key] ?? ''"
        :options="orNone(one.none)"
        :placeholder="one.none"
        option-label="label"
        option-value="value"
        @update:model-value="emit('change', { [one.key]: $event || null })"
      />
    </div>
    <div class="field">
      <label :for="idOf('property')">Name for scripts</label>
      <InputText
        :id="idOf('property')"
        size="small"
        :model-value="field.property"
        @change="emit('change', { property: typed($event) })"
      />
    </div>
  </div>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  padding: 6px 0 10px;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import type { MappedField, Preview } from '../../../shared/contract'
import { kinds } from '../content/kinds'
import ColumnWays from './ColumnWays.vue'
import { hasWays, waysSaid } from './mappedFields'

/** One column: whether it is taken, as which field, and how it is written. */
const { column, field } = defineProps<{
  column: Preview['columns'][number]
  /** What it becomes; undefined where it is not taken. */
  field: MappedField | undefined
  /** Why it is no field, where it is none. */
  otherwise: string
  /** All of the source. */
  columns: readonly string[]
  /** What is to be known of the field; undefined for nothing. */
  note: string | undefined
}>()
const emit = defineEmits<{ take: [taken: boolean]; correct: [changed: Partial<MappedField>] }>()
const isOpen = defineModel<boolean>('open', { required: true })
const typed = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <tr :class="{ out: !field }">
    <td>
      <Checkbox
        :model-value="field !== undefined"
        binary
        :input-id="`take-${column.name}`"
        :aria-label="`Take ${column.name}`"
        :disabled="column.samples.length === 0 && !field"
        @update:model-value="emit('take', $event)"
      />
    </td>
    <td class="column">
      <b>{{ column.name }}</b>
      <span class="sample">{{ column.samples[0] ?? 'nothing in the first records' }}</span>
    </td>
    <template v-if="field">
      <td>
        <InputText
          size="small"
          :model-value="field.label"
          :aria-label="`Label of ${column.name}`"
          @change="emit('correct', { label: typed($event) })"
        />
        <small class="quiet key">{{ field.property }}</small>
      </td>
      <td>
        <Select
          size="small"
          :model-value="field.kind"
          :options="[...kinds]"
          option-label="label"
          option-value="value"
          :aria-label="`Kind of ${column.name}`"
          class="kind"
          @update:model-value="emit('correct', { kind: $event })"
        />
      </td>
      <td class="written">
        <span>{{ waysSaid(field) }}</span>
        <Button
          v-if="hasWays(field.kind)"
          :icon="isOpen ? 'pi pi-chevron-up' : 'pi pi-pencil'"
          text
          size="small"
          severity="secondary"
          :aria-label="`How ${column.name} is written`"
          :aria-expanded="isOpen"
          @click="isOpen = !isOpen"
        />
      </td>
    </template>
    <td v-else colspan="3" class="quiet">{{ otherwise }}</td>
  </tr>
  <tr v-if="isOpen && field" class="more">
    <td />
    <td colspan="4"><ColumnWays :field="field" :columns="columns" @change="emit('correct', $event)" /></td>
  </tr>
  <tr v-if="field && note" class="more">
    <td />
    <td colspan="4" class="note">
      <i class="pi pi-info-circle" aria-hidden="true" />
      {{ note }}
    </td>
  </tr>
</template>

<style scoped>
.out .column b {
  font-weight: 500;
  color: var(--quiet);
}
.column b {
  display: block;
  font-size: 13.5px;
  overflow-wrap: anywhere;
}
.sample {
  display: block;
  max-width: 300px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--quiet);
  font-size: 12.5px;
}
.key {
  display: block;
  font-size: 12px;
}
.kind {
  width: 128px;
}
.written {
  font-size: 13px;
  color: #45555d;
}
.written > span {
  margin-inline-end: 4px;
}
.more td {
  background: var(--leaf);
}
.more .note {
  color: #5f3900;
  background: var(--lamp-wash);
  font-size: 13px;
}
</style>

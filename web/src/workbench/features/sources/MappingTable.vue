<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import type { MappedField, Mapping, Preview } from '../../../shared/contract'
import FirstItems from './FirstItems.vue'
import { helpersOf, plainField } from './mappedFields'
import MappingRow from './MappingRow.vue'

/** Which columns become which fields, with what the first items look like. Every correction is told at once. */
const { preview, mapping } = defineProps<{ preview: Preview; mapping: Mapping }>()
const emit = defineEmits<{ change: [mapping: Mapping] }>()

const SHORT = 14
const fieldOf = (column: string) => mapping.fields.find(field => field.column === column)
const helpers = computed(() => helpersOf(mapping))
const columns = computed(() => preview.columns.map(column => column.name))
const noteOf = (column: string) => preview.fieldNotes.find(note => note.property === fieldOf(column)?.property)?.note
const opened = ref<string | null>(null)
const showsAll = ref(false)
/** Those that need a look come first; they stay there while they are corrected. */
const first = ref<readonly string[]>([])
const ordered = computed(() => {
  const isFirst = (column: { name: string }) => first.value.includes(column.name)
  return [...preview.columns.filter(isFirst), ...preview.columns.filter(column => !isFirst(column))]
})
const rows = computed(() =>
  showsAll.value ? ordered.value : ordered.value.slice(0, Math.max(SHORT, first.value.length)),
)
watch(
  () => columns.value.join('\n'),
  () => {
    showsAll.value = false
    first.value = columns.value.filter(noteOf)
  },
  { immediate: true },
)

const put = (fields: MappedField[], idColumn = mapping.idColumn) => emit('change', { idColumn, fields })
const take = (column: string, isTaken: boolean) =>
  put(
    isTaken
      ? [...mapping.fields, plainField(column, mapping)]
      : mapping.fields.filter(field => field.column !== column),
  )
const correct = (column: string, changed: Partial<MappedField>) =>
  put(mapping.fields.map(field => (field.column === column ? { ...field, ...changed } : field)))
function otherwise(column: string): string {
  if (helpers.value.has(column)) return `belongs to “${helpers.value.get(column)}”`
  return column === mapping.idColumn ? 'is the id' : 'not taken'
}
</script>

<template>
  <div class="field id">
    <label for="id-column">What tells one item from the others</label>
    <Select
      input-id="id-column"
      :model-value="mapping.idColumn"
      :options="columns.map(value => ({ value, label: value }))"
      option-label="label"
      option-value="value"
      filter
      @update:model-value="put(mapping.fields, $event)"
    />
    <small>By this column an item is known again the next time. No two items may have the same there.</small>
  </div>
  <div class="framed-table" tabindex="0" role="region" aria-label="Columns and their fields">
    <table aria-label="Columns and the fields they become">
      <thead>
        <tr>
          <th><span class="unseen">Take it</span></th>
          <th>Column</th>
          <th>Becomes the field</th>
          <th>Kind</th>
          <th>Written as</th>
        </tr>
      </thead>
      <tbody>
        <MappingRow
          v-for="column in rows"
          :key="column.name"
          :column="column"
          :field="fieldOf(column.name)"
          :otherwise="otherwise(column.name)"
          :columns="columns"
          :note="noteOf(column.name)"
          :open="opened === column.name"
          @update:open="opened = $event ? column.name : null"
          @take="take(column.name, $event)"
          @correct="correct(column.name, $event)"
        />
      </tbody>
    </table>
  </div>
  <Button
    v-if="preview.columns.length > SHORT"
    class="all"
    :label="showsAll ? 'Show fewer columns' : `Show all ${preview.columns.length} columns`"
    text
    size="small"
    @click="showsAll = !showsAll"
  />
  <FirstItems :preview="preview" :mapping="mapping" />
</template>

<style scoped>
.id {
  max-width: 460px;
}
.all {
  justify-self: start;
}
</style>

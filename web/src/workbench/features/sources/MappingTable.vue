<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import type { FieldKind, MappedField, Mapping, Preview } from '../../../shared/contract'
import { kinds } from '../content/kinds'

/** Which columns become which fields, with what the first items look like. Every correction is told at once. */
const { preview, mapping } = defineProps<{ preview: Preview; mapping: Mapping }>()
const emit = defineEmits<{ change: [mapping: Mapping] }>()

const byColumn = computed(() => new Map(mapping.fields.map(field => [field.column, field])))
/** Columns that say something more about another field: they are no fields of their own. */
const helpers = computed(
  () =>
    new Map(
      mapping.fields.flatMap(field =>
        [field.longitude, field.placeName, field.alternative, field.currency].flatMap(column =>
          column ? [[column, field.label] as const] : [],
        ),
      ),
    ),
)
const columns = computed(() => preview.columns.map(column => column.name))
const orNone = (none: string) => [{ value: '', label: none }, ...columns.value.map(value => ({ value, label: value }))]
const notes = computed(() => new Map(preview.fieldNotes.map(note => [note.property, note.note])))
const opened = ref<string | null>(null)
const shownAll = ref(false)
const SHORT = 14
const rows = computed(() => (shownAll.value ? preview.columns : preview.columns.slice(0, SHORT)))
watch(
  () => preview.columns.length,
  () => {
    shownAll.value = false
  },
)

const propertyOf = (column: string) => {
  const words = column
    .replace(/^schema\./, '')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .split(/[^A-Za-z0-9]+/)
    .filter(Boolean)
  const made = words
    .map((word, n) =>
      n === 0 ? word.charAt(0).toLowerCase() + word.slice(1) : word.charAt(0).toUpperCase() + word.slice(1),
    )
    .join('')
  let property = /^[A-Za-z]/.test(made) && made !== 'id' ? made : `field${made}`
  for (let n = 2; mapping.fields.some(field => field.property === property); n++) property = `${made || 'field'}${n}`
  return property
}
const plain = (column: string): MappedField => {
  const property = propertyOf(column)
  const words = property.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase()
  return {
    property,
    label: words.charAt(0).toUpperCase() + words.slice(1),
    kind: 'text',
    column,
    longitude: null,
    placeName: null,
    alternative: null,
    currency: null,
    separator: null,
    levels: null,
    unit: null,
    dates: 'year-first',
    decimalComma: false,
  }
}
function put(fields: MappedField[], idColumn = mapping.idColumn) {
  emit('change', { idColumn, fields })
}
function take(column: string, on: boolean) {
  put(on ? [...mapping.fields, plain(column)] : mapping.fields.filter(field => field.column !== column))
}
function correct(column: string, change: Partial<MappedField>) {
  put(mapping.fields.map(field => (field.column === column ? { ...field, ...change } : field)))
}
const text = (event: Event) => (event.target as HTMLInputElement).value

/** What can be said about how a column is written, by kind. */
const sayable = (kind: FieldKind) => ({
  separator: ['category', 'text', 'date', 'code'].includes(kind),
  levels: kind === 'category',
  unit: kind === 'number',
  comma: ['number', 'money'].includes(kind),
  dates: kind === 'date',
  place: kind === 'place',
  image: kind === 'image',
  money: kind === 'money',
})
const said = (field: MappedField) =>
  [
    field.separator ? `several, split at “${field.separator}”` : '',
    field.levels ? `a tree, levels split at “${field.levels}”` : '',
    field.unit ? `in ${field.unit}` : '',
    field.decimalComma ? 'decimal comma' : '',
    field.kind === 'date' && field.dates !== 'year-first'
      ? field.dates === 'day-first'
        ? 'day first'
        : 'month first'
      : '',
    field.longitude ? `longitude from “${field.longitude}”` : '',
    field.placeName ? `name from “${field.placeName}”` : '',
    field.alternative ? `alternative text from “${field.alternative}”` : '',
    field.currency ? `currency ${field.currency}` : '',
  ]
    .filter(Boolean)
    .join(', ')
const shown = computed(() => mapping.fields.slice(0, 7))
const problems = computed(() => preview.items.filter(item => item.problem !== null).length)
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
  <div class="scroll" tabindex="0" role="region" aria-label="Columns and their fields">
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
        <template v-for="column in rows" :key="column.name">
          <tr :class="{ out: !byColumn.has(column.name) }">
            <td>
              <Checkbox
                :model-value="byColumn.has(column.name)"
                binary
                :input-id="`take-${column.name}`"
                :aria-label="`Take ${column.name}`"
                :disabled="column.samples.length === 0 && !byColumn.has(column.name)"
                @update:model-value="take(column.name, $event)"
              />
            </td>
            <td class="column">
              <b>{{ column.name }}</b>
              <span class="sample">{{ column.samples[0] ?? 'nothing in the first records' }}</span>
            </td>
            <template v-if="byColumn.get(column.name)">
              <td>
                <InputText
                  size="small"
                  :model-value="byColumn.get(column.name)!.label"
                  :aria-label="`Label of ${column.name}`"
                  @change="correct(column.name, { label: text($event) })"
                />
                <small class="quiet key">{{ byColumn.get(column.name)!.property }}</small>
              </td>
              <td>
                <Select
                  size="small"
                  :model-value="byColumn.get(column.name)!.kind"
                  :options="[...kinds]"
                  option-label="label"
                  option-value="value"
                  :aria-label="`Kind of ${column.name}`"
                  class="kind"
                  @update:model-value="correct(column.name, { kind: $event })"
                />
              </td>
              <td class="written">
                <span>{{ said(byColumn.get(column.name)!) }}</span>
                <Button
                  v-if="byColumn.get(column.name)!.kind !== 'yes-no' && byColumn.get(column.name)!.kind !== 'link'"
                  :icon="opened === column.name ? 'pi pi-chevron-up' : 'pi pi-pencil'"
                  text
                  size="small"
                  severity="secondary"
                  :aria-label="`How ${column.name} is written`"
                  :aria-expanded="opened === column.name"
                  @click="opened = opened === column.name ? null : column.name"
                />
              </td>
            </template>
            <td v-else colspan="3" class="quiet">
              {{
                helpers.has(column.name)
                  ? `belongs to “${helpers.get(column.name)}”`
                  : column.name === mapping.idColumn
                    ? 'is the id'
                    : 'not taken'
              }}
            </td>
          </tr>
          <tr v-if="opened === column.name && byColumn.get(column.name)" class="more">
            <td />
            <td colspan="4">
              <div class="ways">
                <div v-if="sayable(byColumn.get(column.name)!.kind).separator" class="field">
                  <label :for="`separator-${column.name}`">Several values are split at</label>
                  <InputText
                    :id="`separator-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.separator ?? ''"
                    placeholder="not split"
                    @change="correct(column.name, { separator: text($event) || null })"
                  />
                </div>
                <div v-if="sayable(byColumn.get(column.name)!.kind).levels" class="field">
                  <label :for="`levels-${column.name}`">Levels of a tree are split at</label>
                  <InputText
                    :id="`levels-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.levels ?? ''"
                    placeholder="flat"
                    @change="correct(column.name, { levels: text($event) || null })"
                  />
                </div>
                <div v-if="sayable(byColumn.get(column.name)!.kind).unit" class="field">
                  <label :for="`unit-${column.name}`">Unit</label>
                  <InputText
                    :id="`unit-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.unit ?? ''"
                    placeholder="none"
                    @change="correct(column.name, { unit: text($event) || null })"
                  />
                </div>
                <div v-if="sayable(byColumn.get(column.name)!.kind).comma" class="field">
                  <label :for="`comma-${column.name}`">Decimals</label>
                  <Select
                    :input-id="`comma-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.decimalComma"
                    :options="[
                      { value: false, label: '1,234.5' },
                      { value: true, label: '1.234,5' },
                    ]"
                    option-label="label"
                    option-value="value"
                    @update:model-value="correct(column.name, { decimalComma: $event })"
                  />
                </div>
                <div v-if="sayable(byColumn.get(column.name)!.kind).dates" class="field">
                  <label :for="`dates-${column.name}`">Days are written</label>
                  <Select
                    :input-id="`dates-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.dates"
                    :options="[
                      { value: 'year-first', label: '2026-05-31' },
                      { value: 'day-first', label: '31.5.2026' },
                      { value: 'month-first', label: '5/31/2026' },
                    ]"
                    option-label="label"
                    option-value="value"
                    @update:model-value="correct(column.name, { dates: $event })"
                  />
                </div>
                <template v-if="sayable(byColumn.get(column.name)!.kind).place">
                  <div class="field">
                    <label :for="`longitude-${column.name}`">Longitude from</label>
                    <Select
                      :input-id="`longitude-${column.name}`"
                      size="small"
                      :model-value="byColumn.get(column.name)!.longitude ?? ''"
                      :options="orNone('this column has both')"
                      placeholder="this column has both"
                      option-label="label"
                      option-value="value"
                      @update:model-value="correct(column.name, { longitude: $event || null })"
                    />
                  </div>
                  <div class="field">
                    <label :for="`place-name-${column.name}`">Name from</label>
                    <Select
                      :input-id="`place-name-${column.name}`"
                      size="small"
                      :model-value="byColumn.get(column.name)!.placeName ?? ''"
                      :options="orNone('no name')"
                      placeholder="no name"
                      option-label="label"
                      option-value="value"
                      @update:model-value="correct(column.name, { placeName: $event || null })"
                    />
                  </div>
                </template>
                <div v-if="sayable(byColumn.get(column.name)!.kind).image" class="field">
                  <label :for="`alternative-${column.name}`">Alternative text from</label>
                  <Select
                    :input-id="`alternative-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.alternative ?? ''"
                    :options="orNone('nowhere else')"
                    placeholder="nowhere else"
                    option-label="label"
                    option-value="value"
                    @update:model-value="correct(column.name, { alternative: $event || null })"
                  />
                </div>
                <div v-if="sayable(byColumn.get(column.name)!.kind).money" class="field">
                  <label :for="`currency-${column.name}`">Currency: a code, or a column</label>
                  <InputText
                    :id="`currency-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.currency ?? ''"
                    placeholder="as the amount says"
                    @change="correct(column.name, { currency: text($event) || null })"
                  />
                </div>
                <div class="field">
                  <label :for="`property-${column.name}`">Name for scripts</label>
                  <InputText
                    :id="`property-${column.name}`"
                    size="small"
                    :model-value="byColumn.get(column.name)!.property"
                    @change="correct(column.name, { property: text($event) })"
                  />
                </div>
              </div>
            </td>
          </tr>
          <tr v-if="byColumn.get(column.name) && notes.has(byColumn.get(column.name)!.property)" class="more">
            <td />
            <td colspan="4" class="note">
              <i class="pi pi-info-circle" aria-hidden="true" />
              {{ notes.get(byColumn.get(column.name)!.property) }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
  <Button
    v-if="preview.columns.length > SHORT"
    class="all"
    :label="shownAll ? 'Show fewer columns' : `Show all ${preview.columns.length} columns`"
    text
    size="small"
    @click="shownAll = !shownAll"
  />
  <h3>The first items, as they would be</h3>
  <p v-if="problems > 0" class="remark bad">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" />
    {{ problems === 1 ? 'One of them would be refused.' : `${problems} of them would be refused.` }} The reason stands
    in its row; correct a kind, or untick the column.
  </p>
  <div class="scroll" tabindex="0" role="region" aria-label="The first items">
    <table aria-label="The first items" class="items">
      <thead>
        <tr>
          <th>Id</th>
          <th v-for="field in shown" :key="field.property">{{ field.label }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="item in preview.items.slice(0, 6)" :key="item.at">
          <template v-if="item.problem === null">
            <td>
              <code>{{ item.id }}</code>
            </td>
            <td v-for="field in shown" :key="field.property">
              <span class="cell">{{ item.values[field.property] ?? '' }}</span>
            </td>
          </template>
          <td v-else :colspan="shown.length + 1" class="wrong">{{ item.at }}: {{ item.problem }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.id {
  max-width: 460px;
}
.scroll {
  overflow-x: auto;
  border: 1px solid var(--line);
  border-radius: 8px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: start;
  padding: 8px 12px;
  font-weight: 600;
  font-size: 13px;
  background: var(--leaf);
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
td {
  padding: 6px 12px;
  border-bottom: 1px solid var(--line);
  vertical-align: middle;
}
tr:last-child td {
  border-bottom: 0;
}
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
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  padding: 6px 0 10px;
}
.note {
  color: #5f3900;
  background: var(--lamp-wash) !important;
  font-size: 13px;
}
.all {
  justify-self: start;
}
.cell {
  display: block;
  max-width: 190px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 13px;
}
.items code {
  white-space: nowrap;
}
</style>

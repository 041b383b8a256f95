<script setup lang="ts">
import Select from 'primevue/select'
import { computed } from 'vue'
import type { FileSettings, Preview } from '../../../shared/contract'

/** How a file is read, in a sentence whose words can be changed. */
const { form } = defineProps<{ form: NonNullable<Preview['form']> }>()
const emit = defineEmits<{ change: [changed: Partial<FileSettings>] }>()
const FORMATS = [
  { value: 'csv', label: 'CSV' },
  { value: 'json', label: 'a JSON list' },
  { value: 'json-lines', label: 'JSON Lines' },
  { value: 'geojson', label: 'GeoJSON' },
]
const DELIMITERS = [
  { value: ',', label: 'commas' },
  { value: ';', label: 'semicolons' },
  { value: '\t', label: 'tabs' },
  { value: '|', label: 'bars |' },
]
const ENCODINGS = ['UTF-8', 'windows-1252', 'ISO-8859-15', 'UTF-16LE', 'UTF-16BE'].map(value => ({
  value,
  label: value,
}))
const HEADERS = [
  { value: true, label: 'names them' },
  { value: false, label: 'is an item' },
]
/** One word of the sentence, and the words before it. */
interface Word {
  before: string
  label: string
  value: unknown
  options: { value: unknown; label: string }[]
  change: (chosen: never) => Partial<FileSettings>
}
const words = computed<Word[]>(() => [
  {
    before: 'Read as',
    label: 'Format of the file',
    value: form.format,
    options: FORMATS,
    change: (format: FileSettings['format']) => ({ format, delimiter: null, header: null }),
  },
  {
    before: 'in',
    label: 'Encoding of the file',
    value: form.encoding,
    options: ENCODINGS,
    change: (encoding: FileSettings['encoding']) => ({ encoding }),
  },
  ...(form.format === 'csv'
    ? [
        {
          before: 'with',
          label: 'Between columns',
          value: form.delimiter,
          options: DELIMITERS,
          change: (delimiter: FileSettings['delimiter']) => ({ delimiter }),
        },
        {
          before: 'between columns; the first row',
          label: 'The first row',
          value: form.header,
          options: HEADERS,
          change: (header: FileSettings['header']) => ({ header }),
        },
      ]
    : []),
])
</script>

<template>
  <p class="form">
    <template v-for="word in words" :key="word.label">
      {{ word.before }}
      <Select
        :model-value="word.value"
        :options="word.options"
        option-label="label"
        option-value="value"
        size="small"
        :aria-label="word.label"
        @update:model-value="emit('change', word.change($event as never))"
      />
    </template>
  </p>
</template>

<style scoped>
.form {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
</style>

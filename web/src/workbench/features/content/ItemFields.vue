<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { FieldSaid } from '../../../shared/contract'
import { withDays } from '../../kit/format'

/** What an item says, field by field, and where the owner wrote something in its place. */
const { fields } = defineProps<{
  fields: readonly FieldSaid[]
  /** An address that can be opened; null for one that cannot. */
  whole: (address: string) => string | null
}>()
const LONG = 320
const INSTEAD = 160
const opened = ref<string[]>([])
const isCut = (field: FieldSaid) => field.text !== null && field.text.length > LONG && !opened.value.includes(field.key)
function shown(field: FieldSaid): string {
  const text = field.text ?? ''
  if (isCut(field)) return `${text.slice(0, LONG)}…`
  return field.kind === 'date' ? withDays(text) : text
}
const filled = computed(() => fields.filter(field => field.text !== null || field.instead !== null))
const empty = computed(() => fields.filter(field => field.text === null && field.instead === null))
</script>

<template>
  <section class="slip" aria-label="What it says">
    <table>
      <thead class="unseen">
        <tr>
          <th>Field</th>
          <th>What it says</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="field in filled" :key="field.key">
          <th scope="row">
            {{ field.label }}
            <small>
              {{ field.kind }}
              <template v-if="field.property !== field.key">, as {{ field.property }}</template>
            </small>
          </th>
          <td>
            <a
              v-if="field.addressed && field.text && whole(field.text)"
              :href="whole(field.text)!"
              target="_blank"
              rel="noopener"
            >
              {{ field.text }}
            </a>
            <template v-else>
              <span class="said">
                {{ shown(field) }}
              </span>
              <Button v-if="isCut(field)" label="Show all" text size="small" @click="opened.push(field.key)" />
            </template>
            <small v-if="field.instead !== null" class="instead">
              <i class="pi pi-pencil" aria-hidden="true" />
              Written by you.
              {{ field.instead ? `Its source says: ${field.instead.slice(0, INSTEAD)}` : 'Its source says nothing.' }}
            </small>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="empty.length > 0" class="quiet none">
      It says nothing in {{ empty.map(field => field.label).join(', ') }}.
    </p>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
tbody th {
  text-align: start;
  vertical-align: top;
  width: 150px;
  padding: 10px 12px 10px 20px;
  font-weight: 600;
  border-bottom: 1px solid var(--line);
}
tbody th small {
  display: block;
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
}
td {
  padding: 10px 20px 10px 12px;
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
}
tr:last-child th,
tr:last-child td {
  border-bottom: 0;
}
.said {
  white-space: pre-line;
}
.instead {
  display: block;
  color: var(--lamp-deep);
  margin-top: 4px;
  font-size: 12.5px;
}
.instead .pi {
  font-size: 11px;
}
.none {
  padding: 10px 20px;
  border-top: 1px solid var(--line);
  font-size: 13px;
}
</style>

<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import type { CollectionShape, FieldKind, FieldShape } from '../../../shared/contract'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import CorrectionProgress from './CorrectionProgress.vue'
import { kinds } from './kinds'

/** The fields of a collection, to be corrected, and values that were merged. */
const { site, collection } = defineProps<{ site: string; collection: CollectionShape }>()
const queries = useQueryClient()
const { wrong, attempt } = useAttempt()
async function correct(field: FieldShape, change: { kind?: FieldKind; label?: string; unit?: string | null }) {
  const after = {
    kind: change.kind ?? field.kind,
    label: (change.label ?? field.label).trim(),
    unit: change.unit === undefined ? field.unit : change.unit,
  }
  if (after.kind === field.kind && after.label === field.label && after.unit === field.unit) return
  await attempt(() => api.correctField(site, collection.key, field.key, after))
  await queries.invalidateQueries({ queryKey: ['collections'] })
}
async function part(field: FieldShape, from: string[]) {
  await attempt(() => api.part(site, collection.key, field.key, from))
  await queries.invalidateQueries()
}
const typed = (event: Event) => (event.target as HTMLInputElement).value
const merged = computed(() => collection.fields.flatMap(field => field.merged.map(merge => ({ field, ...merge }))))
</script>

<template>
  <p class="lead">
    Kinds were guessed from the first items. Correct one here, and every item that has the field is read anew.
  </p>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <CorrectionProgress :site="site" :collection="collection" />
  <div class="slip framed-table">
    <table>
      <thead>
        <tr>
          <th>Label</th>
          <th>Kind</th>
          <th>Unit</th>
          <th>Key</th>
          <th>Comes as</th>
          <th>Words in it</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="field in collection.fields" :key="field.key">
          <td>
            <InputText
              :model-value="field.label"
              size="small"
              :aria-label="`Label of ${field.key}`"
              @change="correct(field, { label: typed($event) })"
            />
          </td>
          <td>
            <Select
              :model-value="field.kind"
              :options="[...kinds]"
              option-label="label"
              option-value="value"
              size="small"
              :aria-label="`Kind of ${field.label}`"
              class="kind"
              @update:model-value="correct(field, { kind: $event })"
            />
          </td>
          <td>
            <InputText
              v-if="field.kind === 'number'"
              :model-value="field.unit ?? ''"
              size="small"
              class="unit"
              placeholder="none"
              :aria-label="`Unit of ${field.label}`"
              @change="correct(field, { unit: typed($event).trim() || null })"
            />
          </td>
          <td>
            <code>{{ field.key }}</code>
          </td>
          <td>
            <code>{{ field.property }}</code>
          </td>
          <td class="quiet">{{ field.searchable ? 'can be searched' : 'none' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
  <section v-if="merged.length > 0" class="merges" aria-label="Merged values">
    <h2>Merged values</h2>
    <ul>
      <li v-for="one in merged" :key="`${one.field.key} ${one.from.join('/')}`">
        <span class="quiet">{{ one.field.label }}:</span>
        “{{ one.from.join(' › ') }}” counts as
        <b>{{ one.into.join(' › ') }}</b>
        <Button label="Part them again" text size="small" severity="secondary" @click="part(one.field, one.from)" />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.lead {
  margin-bottom: 12px;
}
.kind {
  min-width: 130px;
}
.unit {
  width: 80px;
}
.merges {
  margin-top: 24px;
}
.merges ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
</style>

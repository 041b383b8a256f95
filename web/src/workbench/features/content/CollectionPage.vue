<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Menu from 'primevue/menu'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { FieldKind, FieldShape } from '../../../shared/contract'
import { counted } from '../../kit/format'
import { kinds } from './kinds'
import { api } from '../../ownerApi'
import CorrectionProgress from './CorrectionProgress.vue'
import DeleteDialog from '../../kit/DeleteDialog.vue'
import ItemTable from './ItemTable.vue'
import { useAttempt } from '../../kit/useAttempt'
import { useCollections } from './useCollections'

const { site, collection } = defineProps<{ site: string; collection: string }>()
const router = useRouter()
const queries = useQueryClient()
const views = [
  { label: 'Items', value: 'items' },
  { label: 'Fields', value: 'fields' },
]
const view = ref('items')
const { data: collections } = useCollections(() => site)
const here = computed(() => collections.value?.find(one => one.key === collection))

const { wrong, attempt } = useAttempt()
async function correct(field: FieldShape, change: { kind?: FieldKind; label?: string; unit?: string | null }) {
  const after = {
    kind: change.kind ?? field.kind,
    label: (change.label ?? field.label).trim(),
    unit: change.unit === undefined ? field.unit : change.unit,
  }
  if (after.kind === field.kind && after.label === field.label && after.unit === field.unit) return
  await attempt(() => api.correctField(site, collection, field.key, after))
  await queries.invalidateQueries({ queryKey: ['collections'] })
}
async function part(field: FieldShape, from: string[]) {
  await attempt(() => api.part(site, collection, field.key, from))
  await queries.invalidateQueries()
}
const typed = (event: Event) => (event.target as HTMLInputElement).value
const merged = computed(() =>
  (here.value?.fields ?? []).flatMap(field => field.merged.map(merge => ({ field, ...merge }))),
)
const deleting = ref(false)
async function gone() {
  await queries.invalidateQueries()
  await router.push(`/${site}/content`)
}
const more = ref<InstanceType<typeof Menu>>()
const acts = computed(() => [
  {
    label: 'Save as CSV',
    icon: 'pi pi-table',
    command: () => {
      location.href = api.exported(site, collection, 'csv')
    },
  },
  {
    label: 'Save as JSON Lines',
    icon: 'pi pi-code',
    command: () => {
      location.href = api.exported(site, collection, 'jsonl')
    },
  },
])
</script>

<template>
  <main class="page wide">
    <RouterLink class="back" :to="`/${site}/content`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      Content
    </RouterLink>
    <div class="page-head">
      <div>
        <h1>{{ here?.label ?? collection }}</h1>
        <p v-if="here" class="lead">
          {{ counted(here.items, 'item') }} with {{ counted(here.fields.length, 'field') }}, in the language “{{
            here.language
          }}”.
        </p>
      </div>
      <div class="acts">
        <SelectButton
          v-model="view"
          :options="views"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          aria-label="What to show"
        />
        <Button
          icon="pi pi-download"
          label="Save"
          severity="secondary"
          outlined
          aria-haspopup="menu"
          @click="more?.toggle($event)"
        />
        <Menu ref="more" :model="acts" popup />
        <Button
          label="Bring more in"
          icon="pi pi-plus"
          severity="secondary"
          outlined
          @click="router.push({ path: `/${site}/sources/new`, query: { into: collection } })"
        />
      </div>
    </div>
    <ItemTable v-if="view === 'items' && here" :key="collection" :site="site" :collection="here" />
    <section v-else-if="here" aria-label="Fields">
      <p class="lead">
        Kinds were guessed from the first items. Correct one here, and every item that has the field is read anew.
      </p>
      <p v-if="wrong" class="remark bad" role="alert">
        <i class="pi pi-exclamation-triangle" aria-hidden="true" />
        {{ wrong }}
      </p>
      <CorrectionProgress :site="site" :collection="here" />
      <div class="slip table">
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
            <tr v-for="field in here.fields" :key="field.key">
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
      <p class="deleting">
        <Button
          label="Delete this collection…"
          icon="pi pi-trash"
          severity="secondary"
          outlined
          size="small"
          @click="deleting = true"
        />
      </p>
      <DeleteDialog
        v-model="deleting"
        what="this collection"
        :name="here.label"
        :effect="`Its ${counted(here.items, 'item')}, its fields and its sources go, and no search finds them any more.`"
        :act="typed => api.deleteCollection(site, collection, typed)"
        @done="gone"
      />
    </section>
  </main>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.table {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: start;
  padding: 9px 14px;
  font-weight: 600;
  border-bottom: 1px solid var(--line);
  background: var(--leaf);
}
td {
  padding: 6px 14px;
  border-bottom: 1px solid var(--line);
}
tr:last-child td {
  border-bottom: 0;
}
.kind {
  min-width: 130px;
}
.unit {
  width: 80px;
}
section > .lead,
.remark {
  margin-bottom: 12px;
}
.deleting {
  margin-top: 24px;
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

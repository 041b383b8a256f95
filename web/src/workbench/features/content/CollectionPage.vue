<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import { counted } from '../../kit/format'
import { api } from '../../ownerApi'
import DeleteDialog from '../../kit/DeleteDialog.vue'
import CollectionFields from './CollectionFields.vue'
import ItemTable from './ItemTable.vue'
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
        <ButtonChoice v-model="view" label="What to show" :options="views" />
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
      <CollectionFields :site="site" :collection="here" />
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
.deleting {
  margin-top: 24px;
}
</style>

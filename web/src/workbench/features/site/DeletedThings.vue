<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Deletion } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'
import DeleteDialog from '../../kit/DeleteDialog.vue'

const { site, name } = defineProps<{ site: string; name: string }>()
const router = useRouter()
const queries = useQueryClient()
const { wrong, attempt } = useAttempt()
const { data: ofSite } = useQuery({ queryKey: ['deleted', () => site], queryFn: () => api.deleted(site), staleTime: 0 })
const { data: sites } = useQuery({ queryKey: ['deleted', 'sites'], queryFn: api.deletedSites, staleTime: 0 })
const resting = computed(() => [...(ofSite.value ?? []), ...(sites.value ?? [])])
const deleting = ref(false)
const bringBack = (one: Deletion) =>
  attempt(async () => {
    await (one.kind === 'site' ? api.bringSiteBack(one.id) : api.bringBack(site, one.id))
    await queries.invalidateQueries()
  })
async function gone() {
  await queries.invalidateQueries({ queryKey: ['sites'] })
  await router.push('/')
}
</script>

<template>
  <section class="slip">
    <h2>Deleting and bringing back</h2>
    <p class="lead">What was deleted rests here for 30 days.</p>
    <ul v-if="resting.length > 0" class="entries">
      <li v-for="one in resting" :key="one.id">
        <span>
          <b>{{ one.name }}</b>{{ ' ' }}
          <small class="quiet">
            the {{ one.kind }}, deleted {{ formatDay(one.deleted) }} by {{ one.by }}, gone for good
            {{ formatDay(one.until) }}
          </small>
        </span>
        <Button
          label="Bring back"
          size="small"
          severity="secondary"
          outlined
          :aria-label="`Bring back ${one.name}`"
          @click="bringBack(one)"
        />
      </li>
    </ul>
    <p v-else class="quiet">
      Nothing rests. A search is deleted from the list of searches, a collection on its own page.
    </p>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div>
      <Button
        label="Delete this site…"
        icon="pi pi-trash"
        severity="secondary"
        outlined
        size="small"
        @click="deleting = true"
      />
    </div>
    <DeleteDialog
      v-model="deleting"
      what="this site"
      :name="name"
      effect="Its collections and items, sources and searches go, and visitors find nothing of it any more. Its access keys end for good."
      :act="typed => api.deleteSite(site, typed)"
      @done="gone"
    />
  </section>
</template>

<style scoped>
.slip {
  padding: 20px 24px 24px;
  display: grid;
  gap: 12px;
}
</style>

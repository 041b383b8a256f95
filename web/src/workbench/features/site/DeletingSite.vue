<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Deletion } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import { useAccess } from '../../kit/useAccess'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'
import DeleteDialog from '../../kit/DeleteDialog.vue'

const { site, name } = defineProps<{ site: string; name: string }>()
const router = useRouter()
const queries = useQueryClient()
const { wrong, attempt } = useAttempt()
const { runs } = useAccess(() => site)
const { data: resting } = useQuery({
  queryKey: ['deleted', 'sites'],
  queryFn: api.deletedSites,
  staleTime: 0,
  enabled: runs,
})
const deleting = ref(false)
const bringBack = (one: Deletion) =>
  attempt(async () => {
    await api.bringSiteBack(one.id)
    await queries.invalidateQueries()
  })
async function gone() {
  await queries.invalidateQueries({ queryKey: ['sites'] })
  await router.push('/')
}
</script>

<template>
  <section class="slip">
    <h2>Taking back and deleting</h2>
    <p class="lead">
      What was changed or deleted in this site stands in <RouterLink :to="`/${site}/history`">what happened</RouterLink>
      for 30 days, to be taken back.
    </p>
    <ul v-if="resting && resting.length > 0" class="entries">
      <li v-for="one in resting" :key="one.id">
        <span>
          <b>{{ one.name }}</b>{{ ' ' }}
          <small class="quiet">
            the site, deleted {{ formatDay(one.deleted) }} by {{ one.by }}, gone for good
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

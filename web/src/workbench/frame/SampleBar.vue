<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { useRouter } from 'vue-router'
import type { Site } from '../../shared/contract'
import { useAccess } from '../kit/useAccess'
import { useAttempt } from '../kit/useAttempt'
import { api } from '../ownerApi'

/** Says on all pages of the sample site what it is, and throws it away. */
const { site } = defineProps<{ site: Site }>()
const { runs } = useAccess(() => site.key)
const router = useRouter()
const queries = useQueryClient()
const { busy, wrong, attempt } = useAttempt()
const throwAway = () =>
  attempt(async () => {
    await api.deleteSite(site.key, site.name)
    await router.push('/')
    await queries.invalidateQueries()
  })
</script>

<template>
  <aside aria-label="The sample site">
    <i class="pi pi-compass" aria-hidden="true" />
    <span>This is the sample site: made up, to try things with.</span>
    <a :href="`${site.address}/`" target="_blank" rel="noopener">See its pages</a>
    <Button
      v-if="runs"
      label="Throw it away"
      size="small"
      severity="secondary"
      outlined
      :loading="busy"
      @click="throwAway"
    />
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
  </aside>
</template>

<style scoped>
aside {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  padding: 8px 24px;
  background: var(--lamp-wash);
  border-bottom: 1px solid var(--line);
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { ref } from 'vue'
import type { Look } from '../../../shared/contract'
import LoadFailure from '../../kit/LoadFailure.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import LookEditor from '../look/LookEditor.vue'
import type { Shade } from '../look/lookNames'

/** What all searches of a site wear, but for what they have of their own. */
const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const KEY = ['site-look', () => site]
const { data: choices, error, refetch } = useQuery({ queryKey: KEY, queryFn: () => api.siteLook(site), staleTime: 0 })
/** What is being tried and not kept yet. */
const tried = ref<Look | null>(null)
const shade = ref<Shade>('light')
const said = ref('')
const { wrong, attempt } = useAttempt()
const put = (look: Look) =>
  attempt(async () => {
    said.value = ''
    tried.value = look
    const come = await api.tryLook(site, look)
    if (tried.value === look) queries.setQueryData(['site-look', site], come)
  })
const keep = () =>
  attempt(async () => {
    queries.setQueryData(['site-look', site], await api.changeSiteLook(site, tried.value!))
    tried.value = null
    await queries.invalidateQueries({ queryKey: ['sites'] })
    said.value = 'Kept. Visitors see it now.'
  })
async function drop() {
  tried.value = null
  said.value = ''
  await refetch()
}
</script>

<template>
  <section class="slip" aria-labelledby="site-look">
    <h2 id="site-look">Look</h2>
    <p class="quiet">What all searches of this site wear, but for what they have of their own.</p>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="choices">
      <LookEditor
        v-model:shade="shade"
        :model-value="tried ?? choices.own"
        :choices="choices"
        :site="null"
        :site-key="site"
        @update:model-value="put"
      />
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div class="row">
        <Button label="Keep and show visitors" :disabled="tried === null" @click="keep" />
        <Button v-if="tried" label="Leave as it was" severity="secondary" text @click="drop" />
        <span class="quiet" role="status">{{ said }}</span>
      </div>
    </template>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { formatDay } from '../../kit/format'
import AddressInput from '../../kit/AddressInput.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
import EntranceCard from './EntranceCard.vue'
import SampleWay from './SampleWay.vue'
import { useRunsInstallation } from '../../kit/useAccess'
import LoadFailure from '../../kit/LoadFailure.vue'
import { useAttempt } from '../../kit/useAttempt'

const router = useRouter()
const route = useRoute()
const queries = useQueryClient()
const { data: sites, error, refetch } = useQuery({ queryKey: ['sites'], queryFn: api.sites, staleTime: 0 })
const runs = useRunsInstallation()
const { data: deleted } = useQuery({
  queryKey: ['deleted', 'sites'],
  queryFn: api.deletedSites,
  staleTime: 0,
  enabled: () => runs.value === true,
})
const name = ref('')
const address = ref('')
const { busy, wrong, attempt } = useAttempt()

/** The workbench opens on the first site: on its searches, or on its content while there is none to search. */
watch(
  sites,
  async now => {
    const first = now?.[0]
    if (!first) return
    await attempt(async () => {
      const filled = (await api.collections(first.key)).some(one => one.items > 0)
      await router.replace(`/${first.key}/${filled ? 'searches' : 'content'}`)
    })
  },
  { immediate: true },
)

const make = () =>
  attempt(async () => {
    await api.addSite({ name: name.value, address: address.value })
    await queries.invalidateQueries()
  })
const bringBack = (id: number) =>
  attempt(async () => {
    await api.bringSiteBack(id)
    await queries.invalidateQueries()
  })
</script>

<template>
  <EntranceCard
    v-if="sites?.length === 0 && runs === false"
    title="No site yet"
    lead="You belong to no site now. Ask one of a site's owners for an invitation."
  />
  <EntranceCard
    v-else-if="sites?.length === 0 && runs"
    title="No site yet"
    lead="Make one, or bring back one that was deleted in the last 30 days."
  >
    <ul v-if="deleted && deleted.length > 0" class="entries">
      <li v-for="one in deleted" :key="one.id">
        <span>
          <b>{{ one.name }}</b>{{ ' ' }}
          <small class="quiet">deleted {{ formatDay(one.deleted) }} by {{ one.by }}</small>
        </span>
        <Button
          label="Bring back"
          size="small"
          severity="secondary"
          outlined
          :aria-label="`Bring back ${one.name}`"
          @click="bringBack(one.id)"
        />
      </li>
    </ul>
    <form @submit.prevent="make">
      <div class="field">
        <label for="site-name">Name of your site</label>
        <InputText id="site-name" v-model="name" required maxlength="80" />
      </div>
      <div class="field">
        <label for="site-address">Its address</label>
        <AddressInput id="site-address" v-model="address" />
      </div>
      <p class="wrong" role="alert">{{ wrong }}</p>
      <Button type="submit" label="Make it" :loading="busy" fluid />
    </form>
    <SampleWay class="sample-way" :at-once="'sample' in route.query" />
  </EntranceCard>
  <main v-else class="page">
    <h1 class="unseen">Tidy Lantern</h1>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <RemarkLine v-else-if="wrong" bad>{{ wrong }}</RemarkLine>
  </main>
</template>

<style scoped>
form {
  display: grid;
  gap: 16px;
  margin-top: 24px;
}
.entries,
.sample-way {
  margin-top: 24px;
}
.wrong:empty {
  display: none;
}
</style>

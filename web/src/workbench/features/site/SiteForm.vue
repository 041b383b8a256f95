<script setup lang="ts">
import AddressInput from '../../kit/AddressInput.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import Textarea from 'primevue/textarea'
import { ref } from 'vue'
import type { Site } from '../../../shared/contract'
import { counted, formatTime } from '../../kit/format'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** What a site is called, where it is, and whose pages may ask its searches. */
const { site } = defineProps<{ site: Site }>()
const queries = useQueryClient()
const name = ref(site.name)
const address = ref(site.address)
const origins = ref(site.origins.join('\n'))
const timeZone = ref(site.timeZone)
const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone').filter(zone => zone !== 'UTC')]
const said = ref('')
const { wrong, attempt } = useAttempt()
const keep = () =>
  attempt(async () => {
    said.value = ''
    await api.changeSite(site.key, {
      name: name.value,
      address: address.value,
      origins: origins.value.split(/\s+/).filter(Boolean),
      timeZone: timeZone.value,
    })
    await queries.invalidateQueries({ queryKey: ['sites'] })
    said.value = 'Kept.'
  })
const { data: refused } = useQuery({
  queryKey: ['refused-origins', () => site.key],
  queryFn: () => api.refusedOrigins(site.key),
  staleTime: 0,
})
async function allow(origin: string) {
  origins.value = `${origins.value.trim()}\n${origin}`.trim()
  await keep()
  await queries.invalidateQueries({ queryKey: ['refused-origins'] })
}
</script>

<template>
  <form class="slip" @submit.prevent="keep">
    <h2>The site</h2>
    <div class="field">
      <label for="site-name">Name</label>
      <InputText id="site-name" v-model="name" required maxlength="80" />
    </div>
    <div class="field">
      <label for="site-address">Address</label>
      <AddressInput id="site-address" v-model="address" />
    </div>
    <div class="field">
      <label id="time-zone">Time zone</label>
      <Select v-model="timeZone" :options="ZONES" filter aria-labelledby="time-zone" />
      <small>Placements begin and end, and turns change, when the day does there.</small>
    </div>
    <div class="field">
      <label for="origins">Origins that may ask</label>
      <Textarea id="origins" v-model="origins" rows="3" auto-resize aria-describedby="origins-help" />
      <small id="origins-help">
        One a line, such as https://www.your-site.example. Browsers on other pages are turned away.
      </small>
    </div>
    <div v-if="refused && refused.length > 0" class="refused">
      <p>
        <b>Turned away lately</b>{{ ' ' }}
        <span class="quiet">Pages at these addresses asked your searches. If one is yours, let it.</span>
      </p>
      <ul class="entries">
        <li v-for="one in refused" :key="one.origin">
          <span>
            {{ one.origin }}
            <small class="quiet">{{ counted(one.times, 'time') }}, last {{ formatTime(one.last) }}</small>
          </span>
          <Button
            label="Allow"
            size="small"
            severity="secondary"
            outlined
            :aria-label="`Allow ${one.origin}`"
            @click="allow(one.origin)"
          />
        </li>
      </ul>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="row">
      <Button type="submit" label="Keep" />
      <span class="quiet" role="status">{{ said }}</span>
    </div>
  </form>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
.refused {
  padding: 12px;
  border-radius: 8px;
  background: var(--lamp-wash);
  display: grid;
  gap: 8px;
}
</style>

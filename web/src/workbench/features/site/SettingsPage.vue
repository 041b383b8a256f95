<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import Textarea from 'primevue/textarea'
import { ref, watch } from 'vue'
import type { SetUpMade } from '../../../shared/contract'
import { counted, formatTime } from '../../kit/format'
import { api } from '../../ownerApi'
import AccessKeys from './AccessKeys.vue'
import DeletedThings from './DeletedThings.vue'
import FileButton from '../../kit/FileButton.vue'
import InstallationCard from './InstallationCard.vue'
import OwnPlaces from './OwnPlaces.vue'
import PasswordForm from './PasswordForm.vue'
import { useAttempt } from '../../kit/useAttempt'

const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { data: here } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site),
})

const name = ref('')
const address = ref('')
const origins = ref('')
const timeZone = ref('UTC')
const zones = ['UTC', ...Intl.supportedValuesOf('timeZone').filter(zone => zone !== 'UTC')]
watch(
  here,
  now => {
    if (!now) return
    name.value = now.name
    address.value = now.address
    origins.value = now.origins.join('\n')
    timeZone.value = now.timeZone
  },
  { immediate: true },
)
const said = ref('')
const { wrong, attempt } = useAttempt()

const keep = () =>
  attempt(async () => {
    said.value = ''
    await api.changeSite(site, {
      name: name.value,
      address: address.value,
      origins: origins.value.split(/\s+/).filter(Boolean),
      timeZone: timeZone.value,
    })
    await queries.invalidateQueries({ queryKey: ['sites'] })
    said.value = 'Kept.'
  })
const { data: refused } = useQuery({
  queryKey: ['refused-origins', () => site],
  queryFn: () => api.refusedOrigins(site),
  staleTime: 0,
})
async function allow(origin: string) {
  origins.value = `${origins.value.trim()}\n${origin}`.trim()
  await keep()
  await queries.invalidateQueries({ queryKey: ['refused-origins'] })
}
const taken = ref<SetUpMade | null>(null)
const bringIn = (document: string) =>
  attempt(async () => {
    taken.value = await api.addSetUp(document)
    await queries.invalidateQueries({ queryKey: ['sites'] })
  })
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Site</h1>
        <p class="lead">
          What this site is called and who may ask its searches, keys for scripts, names of places, its set-up as a
          file; and the installation with its copies.
        </p>
      </div>
    </div>
    <p v-if="wrong" class="remark bad" role="alert">
      <i class="pi pi-exclamation-triangle" aria-hidden="true" />
      {{ wrong }}
    </p>
    <div class="two">
      <form class="slip" @submit.prevent="keep">
        <h2>The site</h2>
        <div class="field">
          <label for="site-name">Name</label>
          <InputText id="site-name" v-model="name" required maxlength="80" />
        </div>
        <div class="field">
          <label for="site-address">Address</label>
          <InputText id="site-address" v-model="address" type="url" required />
        </div>
        <div class="field">
          <label id="time-zone">Time zone</label>
          <Select v-model="timeZone" :options="zones" filter aria-labelledby="time-zone" />
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
          <ul>
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
        <div class="row">
          <Button type="submit" label="Keep" />
          <span class="quiet" role="status">{{ said }}</span>
        </div>
      </form>
      <AccessKeys :site="site" />
      <OwnPlaces :site="site" />
      <section class="slip">
        <h2>Take it elsewhere</h2>
        <p class="lead">
          The set-up holds collections, fields, sources, what you added to items, and the searches. Items stay; each
          collection is saved on its own page.
        </p>
        <div class="row">
          <Button
            as="a"
            :href="api.setUpFile(site)"
            download
            label="Save the set-up"
            icon="pi pi-download"
            severity="secondary"
            outlined
          />
          <FileButton label="Make a site of a set-up" accept=".json" @chosen="bringIn" />
        </div>
        <div v-if="taken" class="made" role="status">
          <p>
            <b>The site is made.</b>{{ ' ' }}
            <RouterLink :to="`/${taken.site}/content`">Go to it.</RouterLink>
          </p>
          <p v-for="note in taken.notes" :key="note">{{ note }}</p>
        </div>
      </section>
      <DeletedThings v-if="here" :site="site" :name="here.name" />
      <InstallationCard />
      <PasswordForm />
    </div>
  </main>
</template>

<style scoped>
.two {
  columns: 360px 2;
  column-gap: 20px;
}
.two > * {
  break-inside: avoid;
  margin-bottom: 20px;
}
.slip {
  padding: 20px 24px 24px;
  display: grid;
  gap: 16px;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
.made {
  padding: 12px;
  border-radius: 8px;
  background: var(--lamp-wash);
  display: grid;
  gap: 8px;
}
.refused {
  padding: 12px;
  border-radius: 8px;
  background: var(--lamp-wash);
  display: grid;
  gap: 8px;
}
.refused ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.refused li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  padding: 4px 0;
  overflow-wrap: anywhere;
}
.refused li small {
  display: block;
}
.remark {
  margin-bottom: 16px;
}
</style>

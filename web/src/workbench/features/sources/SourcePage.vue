<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { SourceShape } from '../../../shared/contract'
import { formatTime } from '../../kit/format'
import { useAccess } from '../../kit/useAccess'
import { api } from '../../ownerApi'
import LoadFailure from '../../kit/LoadFailure.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import FirstSearchLine from '../content/FirstSearchLine.vue'
import RemoveSource from './RemoveSource.vue'
import SourceActs from './SourceActs.vue'
import RunState from './RunState.vue'
import { nameOfOrigin, schedulesFor } from './sourceKinds'
import SourceRuns from './SourceRuns.vue'

const { site, source } = defineProps<{ site: string; source: number }>()
const { edits } = useAccess(() => site)
const router = useRouter()
const queries = useQueryClient()
const {
  data: here,
  error,
  refetch,
} = useQuery({ queryKey: ['source', () => source], queryFn: () => api.source(source), staleTime: 0 })
const { data: syncs, refetch: look } = useQuery({
  queryKey: ['syncs', () => source],
  queryFn: () => api.syncs(source),
  staleTime: 0,
  // While it runs, progress is asked for; a run is over in its own time.
  refetchInterval: query => (query.state.data?.[0]?.state === 'running' ? 700 : false),
})
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const collection = computed(() => collections.value?.find(one => one.key === here.value?.collection))
const { busy, wrong, attempt } = useAttempt()
const picked = ref<number | null>(null)
const sync = computed(() => syncs.value?.find(one => one.id === picked.value) ?? syncs.value?.[0] ?? null)
const running = computed(() => syncs.value?.[0]?.state === 'running')
watch(running, (now, was) => {
  if (was && !now) void queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'syncs' })
})

const run = () =>
  attempt(async () => {
    picked.value = null
    await api.runSource(source)
    await look()
  })
const stop = (id: number) =>
  attempt(async () => {
    await api.stopSync(id)
    await look()
  })
const goOn = (id: number) =>
  attempt(async () => {
    await api.goOn(id)
    await look()
  })
const remove = () =>
  attempt(async () => {
    await api.removeSource(source)
    await queries.invalidateQueries({ queryKey: ['sources'] })
    await router.push(`/${site}/content`)
  })
async function change(changed: Partial<Pick<SourceShape, 'schedule' | 'removesMissing'>>) {
  const now = here.value
  if (!now) return
  const { collection: into, name, settings, mapping, removesMissing, schedule } = now
  await attempt(async () => {
    await api.changeSource(source, { collection: into, name, settings, mapping, removesMissing, schedule, ...changed })
  })
  await refetch()
}
const uploaded = computed(() => here.value?.settings.address === null)
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/content`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      Content
    </RouterLink>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="here">
      <div class="page-head">
        <div>
          <h1>{{ here.name }}</h1>
          <p class="lead">
            {{ nameOfOrigin(here.settings.kind) }}, {{ here.settings.address ?? 'uploaded here' }}, into
            <RouterLink :to="`/${site}/content/${here.collection}`">{{
              collection?.label ?? here.collection
            }}</RouterLink>.
          </p>
        </div>
        <SourceActs
          v-if="edits"
          :running="running"
          :busy="busy"
          :asks="sync?.state === 'asking'"
          @change="router.push(`/${site}/sources/${source}/change`)"
          @run="run"
          @stop="stop(syncs![0]!.id)"
        />
      </div>
      <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
      <FirstSearchLine v-if="sync?.state === 'done'" :site="site" />
      <div class="columns">
        <section class="slip report" aria-label="Report">
          <RunState
            v-if="sync"
            :run="sync"
            :site="site"
            :collection="here.collection"
            @go-on="goOn(sync.id)"
            @stop="stop(sync.id)"
          />
          <p v-else class="quiet">It has not run yet.</p>
        </section>
        <aside>
          <section class="slip side" aria-label="How it runs">
            <div class="field">
              <label for="schedule">Read again</label>
              <Select
                :model-value="here.schedule"
                input-id="schedule"
                :options="schedulesFor(here.settings)"
                option-label="label"
                option-value="value"
                @update:model-value="change({ schedule: $event })"
              />
              <small v-if="here.nextRun">Next at {{ formatTime(here.nextRun) }}</small>
              <small v-else-if="uploaded">An uploaded file does not change by itself.</small>
            </div>
            <SwitchLine
              label="Remove items that it no longer has"
              :model-value="here.removesMissing"
              @update:model-value="change({ removesMissing: $event })"
            />
          </section>
          <section v-if="syncs && syncs.length > 0" class="slip side" aria-label="Runs">
            <SourceRuns :runs="syncs" :shown="sync?.id" @pick="picked = $event" />
          </section>
          <section class="slip side" aria-label="Take it away">
            <RemoveSource :name="here.name" @remove="remove" />
          </section>
        </aside>
      </div>
    </template>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  gap: 16px;
  align-items: start;
}
.report {
  padding: 20px 24px;
  display: grid;
  gap: 14px;
}
aside {
  display: grid;
  gap: 16px;
}
.side {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.side .field {
  width: 100%;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
  .page-head {
    flex-wrap: wrap;
  }
}
</style>

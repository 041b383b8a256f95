<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, inject, ref } from 'vue'
import type { CollectionShape, SearchDesign } from '../../../shared/contract'
import { counted, formatTime } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import { api } from '../../ownerApi'
import type { DraftEditing } from '../searches/useDraft'
import { STAGE } from '../stage/stageAccess'
import CompareDialog from './CompareDialog.vue'

/** Every design of a search that was published: who, when and why; each can be compared and gone back to. */
const { draft, search } = defineProps<{
  draft: DraftEditing
  search: string
  collections: readonly CollectionShape[]
}>()
const queries = useQueryClient()
const stage = inject(STAGE)
const {
  data: versions,
  error,
  refetch,
} = useQuery({ queryKey: ['search', () => search, 'versions'], queryFn: () => api.versions(search), staleTime: 0 })
/** More than these are asked for. */
const FIRST = 5
const isLong = ref(false)
const shown = computed(() => (isLong.value ? (versions.value ?? []) : (versions.value ?? []).slice(0, FIRST)))
const live = computed(() => versions.value?.find(one => one.live)?.version ?? null)

const compared = ref<{ before: string; after: string } | null>(null)
function compare(version: number) {
  const isLive = version === live.value
  compared.value = { before: isLive ? String(version) : String(live.value), after: isLive ? 'draft' : String(version) }
}
function take(design: SearchDesign) {
  draft.change('version', () => design)
  compared.value = null
}
const gone = () => queries.invalidateQueries({ queryKey: ['search', search] })
</script>

<template>
  <LoadFailure v-if="error" :error="error" @again="refetch()" />
  <p v-else-if="versions?.length === 0" class="quiet">Nothing was published yet. Every publication will stand here.</p>
  <template v-else>
    <ul class="entries" aria-label="Versions">
      <li v-for="one in shown" :key="one.version">
        <span>
          <b>Version {{ one.version }}</b>
          <span v-if="one.live" class="chip">Live</span>
          <small class="quiet">{{ formatTime(one.published) }} by {{ one.publishedBy }}</small>
          <small v-if="one.why">{{ one.why }}</small>
        </span>
        <Button
          label="Look"
          size="small"
          severity="secondary"
          text
          :aria-label="`Look at version ${one.version}`"
          title="Shows it on the stage"
          @click="stage?.showVersion(one.version)"
        />
        <Button
          label="Compare"
          size="small"
          severity="secondary"
          text
          :aria-label="`Compare version ${one.version}`"
          :title="one.live ? 'With the draft' : 'With the live version'"
          @click="compare(one.version)"
        />
      </li>
    </ul>
    <Button
      v-if="versions && versions.length > FIRST && !isLong"
      :label="`Show all ${counted(versions.length, 'version')}`"
      size="small"
      severity="secondary"
      text
      @click="isLong = true"
    />
  </template>
  <CompareDialog
    v-if="compared && versions"
    v-model="compared"
    :search="search"
    :versions="versions"
    :design="draft.design.value"
    :collections="collections"
    @take="take"
    @gone="gone"
    @close="compared = null"
  />
</template>

<style scoped>
.entries {
  width: 100%;
}
.chip {
  margin-left: 8px;
  padding: 1px 8px;
  border-radius: 99px;
  background: #e6f1ea;
  color: #225c3a;
  font-weight: 600;
  font-size: 12px;
}
</style>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import type { CrawlSettings, FileSettings } from '../../../shared/contract'
import { counted } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
import CrawlWhere from './CrawlWhere.vue'
import FeedWhere from './FeedWhere.vue'
import FoundSources from './FoundSources.vue'
import FileForm from './FileForm.vue'
import FileWhere from './FileWhere.vue'
import MappingTable from './MappingTable.vue'
import OriginChoice from './OriginChoice.vue'
import PagePointing from './PagePointing.vue'
import PreviewRemarks from './PreviewRemarks.vue'
import PushWays from './PushWays.vue'
import SourceDestination from './SourceDestination.vue'
import { isSamePlace } from './sourceKinds'
import { useBringIn, type Begun } from './useBringIn'
import { useSurvey } from './useSurvey'

/** From a place where content is to a source that brings it in: first seen, then mapped, then taken. */
const { site, source, begun } = defineProps<{ site: string; source?: number; begun?: Begun }>()
const { address, collections, before, origin, collection, fresh, run, looking, keeping, preview, mapping, ...acts } =
  useBringIn(site, source, begun ?? {})
const { see, seeAgain, choose, bringIn } = acts
const { kind, file, fileName, feedAddress, crawl, settings } = origin
watch(kind, () => {
  if (!before.value) preview.value = null
})

const { data: survey } = useSurvey(() => site)
const { data: known } = useQuery({ queryKey: ['sources', () => site], queryFn: () => api.sources(site) })
/** What is found and not set up yet; nothing where somebody came with a place in mind. */
const offered = computed(() =>
  source !== undefined || begun?.at !== undefined || begun?.kind !== undefined
    ? []
    : (survey.value?.sources ?? []).filter(
        found => !known.value?.some(one => isSamePlace(one.settings, found.settings)),
      ),
)

const isPointing = ref(false)
const read = computed(() => {
  if (!preview.value) return ''
  const { records, complete, columns } = preview.value
  const what = counted(records, !complete && kind.value === 'crawl' ? 'page' : 'record')
  return `${complete ? what : `The first ${what}`}, ${counted(columns.length, 'column')}`
})
const does = computed(() => {
  if (before.value) return 'Keep it and run'
  return preview.value?.complete ? `Bring in ${counted(preview.value.records, 'item')}` : 'Bring it all in'
})
const feedExample = computed(() => `${address.value ?? 'https://your-site.example'}/feed`)
function readAs(change: Partial<FileSettings>) {
  file.value = { ...file.value, ...change }
  void see()
}
function pointed(change: Pick<CrawlSettings, 'mainText' | 'leaveOut' | 'parts'>) {
  crawl.value = { ...crawl.value, ...change }
  isPointing.value = false
  void see()
}
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="before ? `/${site}/sources/${before.id}` : `/${site}/content`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      {{ before ? before.name : 'Content' }}
    </RouterLink>
    <div class="page-head">
      <div>
        <h1>{{ before ? `Change how “${before.name}” is read` : 'Bring content in' }}</h1>
        <p class="lead">
          {{
            before
              ? 'You see what would become of the first items. Nothing is changed until you run it.'
              : 'First you see what is there. Nothing is taken until you say so.'
          }}
        </p>
      </div>
    </div>

    <section class="slip part" aria-labelledby="where">
      <h2 id="where">Where is it?</h2>
      <OriginChoice v-if="!before" v-model="kind" labelledby="where" />
      <FileWhere
        v-if="kind === 'file'"
        v-model="file"
        :file-name="fileName"
        :busy="looking.busy.value"
        @chosen="choose"
        @look="see()"
      />
      <FeedWhere
        v-else-if="kind === 'feed'"
        v-model="feedAddress"
        :busy="looking.busy.value"
        :example="feedExample"
        @look="see()"
      />
      <CrawlWhere
        v-else-if="kind === 'crawl'"
        v-model="crawl"
        :busy="looking.busy.value"
        @look="see(before !== null)"
      />
      <PushWays v-else :site="site" :collection="collection || collections?.[0]?.key || 'posts'" />
      <RemarkLine v-if="looking.wrong.value" bad>{{ looking.wrong.value }}</RemarkLine>
    </section>

    <section v-if="offered.length > 0 && !preview" class="slip part" aria-labelledby="found">
      <h2 id="found">Found on your site</h2>
      <FoundSources :site="site" :sources="offered" :language="survey?.language ?? ''" />
    </section>

    <template v-if="preview && kind !== 'push'">
      <section class="slip part" aria-labelledby="becomes">
        <div class="part-head">
          <h2 id="becomes">What becomes of it</h2>
          <p class="quiet" role="status">{{ read }}</p>
          <span class="grow" />
          <Button
            v-if="kind === 'crawl'"
            label="Point at parts of a page"
            icon="pi pi-bullseye"
            severity="secondary"
            outlined
            size="small"
            @click="isPointing = true"
          />
        </div>
        <FileForm v-if="preview.form" :form="preview.form" @change="readAs" />
        <PreviewRemarks :preview="preview" />
        <MappingTable v-if="mapping" :preview="preview" :mapping="mapping" @change="seeAgain" />
      </section>
      <section class="slip part" aria-labelledby="goes">
        <h2 id="goes">Where it goes</h2>
        <SourceDestination
          v-model:collection="collection"
          v-model:fresh="fresh"
          v-model:run="run"
          :collections="collections ?? []"
          :settings="settings"
          :is-kept="before !== null"
          :is-mapped="mapping !== null"
          :does="does"
          :busy="keeping.busy.value"
          :wrong="keeping.wrong.value"
          @bring-in="bringIn"
        />
      </section>
    </template>
    <PagePointing
      v-if="isPointing"
      v-model="isPointing"
      :site="site"
      :settings="crawl"
      :pages="preview?.items.map(item => item.at) ?? []"
      @pointed="pointed"
    />
  </main>
</template>

<style scoped>
.part {
  padding: 20px 24px;
  margin-bottom: 16px;
  display: grid;
  gap: 16px;
}
.part-head {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
</style>

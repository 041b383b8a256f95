<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { CollectionShape, SearchSummary } from '../../../shared/contract'
import CopyBox from '../../kit/CopyBox.vue'
import { counted, formatTime } from '../../kit/format'
import { api } from '../../ownerApi'
import ShownBefore from '../early-look/ShownBefore.vue'
import VersionList from '../versions/VersionList.vue'
import OpenPoints from './OpenPoints.vue'
import TagsForPage from './TagsForPage.vue'
import MetPages from './MetPages.vue'
import PlannedPublication from './PlannedPublication.vue'
import PageCheckForm from './PageCheckForm.vue'
import type { DraftEditing } from '../searches/useDraft'

/** From the draft to the site: what is open, publishing, the tags, where results are shown. */
const { draft, search, summary } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
defineEmits<{ publish: [] }>()
const page = computed(() => draft.design.value!.places.page)
const script = `<script type="module" src="${location.origin}/elements/tidy-lantern.js"></` + 'script>'
const pageTag = computed(
  () => `<tidy-search search="${search}"></tidy-search>
<tidy-results search="${search}"></tidy-results>`,
)
const hosted = `${location.origin}/s/${search}`
</script>

<template>
  <h2>Go live</h2>
  <p class="lead">Look over what is open, publish, and put the search on your site.</p>

  <section>
    <h3 id="open">1. What is open</h3>
    <OpenPoints :site="site" :search="search" />
  </section>

  <section>
    <h3>2. Publish</h3>
    <p v-if="!summary?.live">Visitors cannot use this search yet.</p>
    <p v-else>
      Version {{ summary.live.version }} is live since {{ formatTime(summary.live.published) }}, published by
      {{ summary.live.publishedBy }}.
    </p>
    <p v-if="summary?.live && summary.differences.length > 0">
      <b>{{ counted(summary.differences.length, 'change') }}</b>
      of the draft {{ summary.differences.length === 1 ? 'is' : 'are' }} not live.
    </p>
    <PlannedPublication v-if="summary?.planned" :search="search" :planned="summary.planned" />
    <Button label="Look over and publish" size="small" @click="$emit('publish')" />
  </section>

  <section>
    <h3 id="tag">3. Put it on your site</h3>
    <p class="quiet">The first line once a page, the second where it should stand.</p>
    <TagsForPage :site="site" :search="search" :script="script" />
  </section>

  <section>
    <h3 id="list-tags">4. Where results are shown</h3>
    <template v-if="page.address !== null">
      <p class="quiet">
        At
        <b>{{ page.address }}</b>
        of your site. Put this on that page:
      </p>
      <CopyBox label="Tags for the results page" :text="pageTag" />
    </template>
    <p v-else class="quiet">
      At
      <a :href="hosted" target="_blank" rel="noopener">{{ hosted }}</a>
      . It works without script, too.
    </p>
    <RouterLink :to="{ path: 'search-box', hash: '#leads' }">Choose another page</RouterLink>
  </section>

  <section>
    <h3 id="arrived">5. Where it has arrived</h3>
    <PageCheckForm :site="site" :search="search" :results-page="page.address" />
    <MetPages :search="search" />
  </section>

  <section>
    <h3 id="before">Show it before</h3>
    <ShownBefore :site="site" :search="search" :summary="summary" :settle="draft.settle" />
  </section>

  <section>
    <h3 id="versions">Look back</h3>
    <VersionList :draft="draft" :search="search" :collections="collections" />
  </section>

  <section>
    <h3>Keep a copy</h3>
    <p class="quiet">The draft as a file. This or another installation makes a search of it, under Searches.</p>
    <Button
      as="a"
      :href="api.designFile(search)"
      download
      label="Save this design"
      icon="pi pi-download"
      size="small"
      severity="secondary"
      outlined
    />
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
  justify-items: start;
  margin-top: 24px;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { CollectionShape, SearchSummary } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import CopyBox from '../../kit/CopyBox.vue'
import { counted, formatTime } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
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
const page = computed(() => draft.design.value!.page)
const script = `<script type="module" src="${location.origin}/elements/tidy-lantern.js"></` + 'script>'
const tag = computed(
  () => `${script}

<tidy-search search="${search}"></tidy-search>`,
)
const pageTag = computed(
  () => `<tidy-search search="${search}"></tidy-search>
<tidy-results search="${search}"></tidy-results>`,
)
const hosted = `${location.origin}/s/${search}`
const KINDS = [
  { label: 'The hosted page', value: false },
  { label: 'A page of my site', value: true },
]
const ARRANGEMENTS = [
  { label: 'One below the other', value: 'list' },
  { label: 'Side by side', value: 'grid' },
  { label: 'As a wall of pictures', value: 'wall' },
] as const
const own = ref(page.value.address !== null)
function choose(isOwn: boolean) {
  own.value = isOwn
  if (!isOwn) put(null)
}
function put(address: string | null) {
  draft.change('page.address', design => ({ ...design, page: { ...design.page, address } }))
}
</script>

<template>
  <h2>Go live</h2>
  <p class="lead">Look over what is open, publish, and put the search on your site.</p>

  <section>
    <h3>1. Publish</h3>
    <p v-if="!summary?.live">Visitors cannot use this search yet.</p>
    <p v-else>
      Version {{ summary.live.version }} is live since {{ formatTime(summary.live.published) }}, published by
      {{ summary.live.publishedBy }}.
    </p>
    <RemarkLine v-for="remark in summary?.remarks ?? []" :key="remark.text">{{ remark.text }}</RemarkLine>
    <p v-if="summary?.live && summary.differences.length > 0">
      <b>{{ counted(summary.differences.length, 'change') }}</b>
      of the draft {{ summary.differences.length === 1 ? 'is' : 'are' }} not live.
    </p>
    <Button label="Look over and publish" size="small" @click="$emit('publish')" />
  </section>

  <section>
    <h3 id="tag">2. Put the box on your site</h3>
    <p class="quiet">The first line once a page, the second where the box should stand.</p>
    <CopyBox label="Tag for the search box" :text="tag" />
  </section>

  <section>
    <h3 id="results-page">3. Where results are shown</h3>
    <ButtonChoice label="Where results are shown" :options="KINDS" :model-value="own" @update:model-value="choose" />
    <template v-if="own">
      <div class="field">
        <label for="page-address">Address of that page</label>
        <InputText
          id="page-address"
          :model-value="page.address ?? ''"
          placeholder="/search"
          @change="put(($event.target as HTMLInputElement).value.trim() || null)"
        />
        <small>From your site’s root, or in full. Put this on it:</small>
      </div>
      <CopyBox label="Tags for the results page" :text="pageTag" />
    </template>
    <p v-if="!own" class="quiet">
      At
      <a :href="hosted" target="_blank" rel="noopener">{{ hosted }}</a>
      . It works without script, too.
    </p>
    <ButtonChoice
      label="How results stand"
      :options="ARRANGEMENTS"
      :model-value="page.arranged"
      @update:model-value="
        draft.change('page.arranged', design => ({ ...design, page: { ...design.page, arranged: $event } }))
      "
    />
  </section>

  <section>
    <h3>4. Keep a copy</h3>
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
.field {
  width: 100%;
}
</style>

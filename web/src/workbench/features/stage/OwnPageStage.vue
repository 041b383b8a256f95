<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, useId, watch } from 'vue'
import LoadFailure from '../../kit/LoadFailure.vue'
import { api } from '../../ownerApi'
import StageSheet from './StageSheet.vue'
import OwnPageWays from './OwnPageWays.vue'
import type { StageWidth } from './stagePage'
import { useDraftLink } from './useDraftLink'

/** A page of the owner's own site with the draft on it, which nobody sees but who has the link. */
const { site, search } = defineProps<{ site: string; search: string; width: StageWidth }>()
const id = useId()
const { data: pages } = useQuery({ queryKey: ['search-pages', () => search], queryFn: () => api.searchPages(search) })
const { data: address } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.address,
})
const chosen = ref('')
/** Where elements of the search stand already, one sees most. */
watch(
  [pages, address],
  () => {
    if (chosen.value === '' && pages.value && address.value)
      chosen.value = pages.value[0]?.page.address ?? `${address.value}/`
  },
  { immediate: true },
)
const { data: page, error } = useQuery({
  queryKey: ['own-page', () => search, chosen],
  queryFn: () => api.ownPage(search, chosen.value),
  enabled: () => chosen.value !== '',
  retry: false,
})
const { link, makeAgain } = useDraftLink(search)
const shown = computed(() => (page.value && link.value ? link.value.to(page.value.address) : null))
const frame = ref<HTMLIFrameElement>()
defineExpose({
  /** Has the page ask again, since the draft changed. */
  refresh: () => {
    const origin = page.value && new URL(page.value.address).origin
    if (origin) frame.value?.contentWindow?.postMessage('tidy-lantern-refresh', origin)
  },
})
function choose(event: Event) {
  const typed = (event.target as HTMLInputElement).value.trim()
  const base = `${address.value}/`
  // What is no address goes to the service as it is, which says so.
  chosen.value = typed !== '' && URL.canParse(typed, base) ? new URL(typed, base).href : typed
}
</script>

<template>
  <div class="bar">
    <label :for="id">Page</label>
    <InputText
      :id="id"
      size="small"
      :list="`${id}-pages`"
      :model-value="chosen"
      placeholder="A page of your site"
      @change="choose"
    />
    <datalist :id="`${id}-pages`">
      <option v-for="one in pages ?? []" :key="one.page.address" :value="one.page.address">
        {{ one.page.title }}
      </option>
    </datalist>
    <Button
      v-if="shown"
      as="a"
      :href="shown"
      target="_blank"
      rel="noopener"
      label="In a tab"
      icon="pi pi-external-link"
      size="small"
      severity="secondary"
      outlined
    />
  </div>
  <StageSheet :width="width">
    <iframe
      v-if="shown && page?.framed && page.script"
      ref="frame"
      :key="shown"
      :src="shown"
      sandbox="allow-scripts allow-same-origin allow-forms allow-popups"
      title="A page of your site with the draft on it"
    />
    <div v-else class="told">
      <LoadFailure v-if="error" :error="error" />
      <OwnPageWays v-else-if="page && link" :page="page" :link="link" @again="makeAgain" />
    </div>
  </StageSheet>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-bottom: 10px;
}
.bar .p-inputtext {
  flex: 1;
  min-width: 0;
}
.told {
  padding: 28px 32px;
}
</style>

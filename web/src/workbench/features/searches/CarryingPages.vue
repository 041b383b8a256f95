<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { counted, formatDay } from '../../kit/format'
import { api } from '../../ownerApi'

/** The pages that carry a search's tags, for whoever is about to delete it. */
const { search } = defineProps<{ search: string }>()
const { data: pages } = useQuery({
  queryKey: ['search-pages', () => search],
  queryFn: () => api.searchPages(search),
  staleTime: 0,
})
const MOST_NAMED = 6
const named = computed(() => pages.value?.slice(0, MOST_NAMED) ?? [])
const more = computed(() => (pages.value?.length ?? 0) - named.value.length)
</script>

<template>
  <p v-if="pages?.length === 0">Nobody has met it on a page of the site.</p>
  <div v-else-if="pages">
    <b>{{ counted(pages.length, 'page') }} {{ pages.length === 1 ? 'carries' : 'carry' }} its tags:</b>
    <ul>
      <li v-for="seen in named" :key="seen.page.address">
        <a :href="seen.page.address" target="_blank" rel="noopener">{{ seen.page.title || seen.page.address }}</a>
        <small class="quiet">{{ ' ' }}met {{ formatDay(seen.seen) }}</small>
      </li>
      <li v-if="more > 0">and {{ more }} more</li>
    </ul>
  </div>
</template>

<style scoped>
ul {
  margin: 4px 0 0;
  padding-left: 18px;
  overflow-wrap: anywhere;
}
</style>

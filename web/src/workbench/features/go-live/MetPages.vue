<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import type { SeenPage } from '../../../shared/contract'
import { counted, formatDay, formatTime } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import { api } from '../../ownerApi'

/** Where visitors met the search: the pages with its elements, and what a list of the site's own did not know. */
const { search } = defineProps<{ search: string }>()
const {
  data: pages,
  error,
  refetch,
} = useQuery({
  queryKey: ['search-pages', () => search],
  queryFn: () => api.searchPages(search),
})
const NAMES = { box: 'box', results: 'results', filters: 'filters', list: 'list of your own' }
const said = ({ page }: SeenPage) => page.elements.map(element => NAMES[element]).join(', ')
const WINDOWS = { narrow: 'on phones', wide: 'in wide windows' }
const windows = ({ page }: SeenPage) =>
  page.widths.length === 0 ? '' : ` · ${page.widths.map(width => WINDOWS[width]).join(' and ')}`
/** Pages of one title differ by it. */
const pathOf = ({ page }: SeenPage) => new URL(page.address).pathname
</script>

<template>
  <LoadFailure v-if="error" :error="error" @again="refetch()" />
  <p v-else-if="pages?.length === 0" class="quiet">
    Nobody has met it on a page yet. As soon as a page with its tags is opened, that page stands here.
  </p>
  <ul v-else class="met">
    <li v-for="seen in pages" :key="seen.page.address">
      <a :href="seen.page.address" target="_blank" rel="noopener">{{ seen.page.title || seen.page.address }}</a>
      <span class="quiet">{{ pathOf(seen) }} · {{ said(seen) }}{{ windows(seen) }}</span>
      <span class="quiet">
        Met {{ formatTime(seen.seen) }}, first {{ formatDay(seen.first)
        }}{{ seen.page.script ? ` · script ${seen.page.script}` : '' }}
      </span>
      <details v-if="seen.page.unknown.count > 0">
        <summary>
          {{ counted(seen.page.unknown.count, 'entry', 'entries') }} of its list
          {{ seen.page.unknown.count === 1 ? 'is' : 'are' }} not known to this search
        </summary>
        <ul>
          <li v-for="link in seen.page.unknown.links" :key="link">{{ link }}</li>
        </ul>
        <p class="quiet">
          An entry is known by where its link leads. Bring these pages in, or have the list leave out what is unknown
          with <code>unknown="go"</code>.
        </p>
      </details>
    </li>
  </ul>
</template>

<style scoped>
.met {
  display: grid;
  gap: 10px;
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}
.met > li {
  display: grid;
  gap: 2px;
  overflow-wrap: anywhere;
}
summary {
  cursor: pointer;
}
</style>

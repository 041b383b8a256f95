<script setup lang="ts">
import type { FoundSource } from '../../../shared/contract'
import { counted } from '../../kit/format'

/** Where a site's content could be read from, as its own pages tell, the best first. */
const { site, sources, language } = defineProps<{
  site: string
  sources: readonly FoundSource[]
  /** That its pages are in; empty where they do not say. */
  language: string
}>()

const line = ({ settings, items, about }: FoundSource) =>
  [
    settings.kind === 'feed' ? 'A feed' : 'Pages of the site',
    settings.kind === 'feed' ? counted(items, 'entry', 'entries') : counted(items, 'page'),
    ...(about ? [`marked up as ${about}`] : []),
  ].join(' · ')
/** Where it is looked at, with all that is known of it filled in. */
const way = ({ settings, title }: FoundSource) => ({
  path: `/${site}/sources/new`,
  query: {
    kind: settings.kind,
    at: settings.address ?? undefined,
    below: settings.kind === 'crawl' ? (settings.prefix ?? undefined) : undefined,
    called: title,
    language: language || undefined,
  },
})
</script>

<template>
  <ul v-if="sources.length > 0" class="entries" aria-label="Found on your site">
    <li v-for="found in sources" :key="`${found.settings.kind} ${found.title}`">
      <span>
        <b>{{ found.title }}</b>
        <small class="quiet">{{ line(found) }}</small>
      </span>
      <RouterLink
        class="p-button p-button-sm p-button-secondary p-button-outlined"
        :to="way(found)"
        :aria-label="`Look at ${found.title}, ${line(found)}`"
      >
        Look
      </RouterLink>
    </li>
  </ul>
</template>

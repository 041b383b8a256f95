<script setup lang="ts">
import { computed } from 'vue'
import { useTexts } from '../texts'

const { say } = useTexts()
/** The way to other pages of results: those around the one shown, with both ends. */
const { page, pages } = defineProps<{
  page: number
  pages: number
  /** Where a page of results is. */
  addressOf: (page: number) => string
}>()
const emit = defineEmits<{ turn: [page: number] }>()

const PAGES_EACH_SIDE = 2
/** Null for a gap. */
const entries = computed<(number | null)[]>(() => {
  if (pages < 2) return []
  const near = Array.from({ length: pages }, (_, n) => n + 1).filter(
    one => one === 1 || one === pages || Math.abs(one - page) <= PAGES_EACH_SIDE,
  )
  return near.flatMap((one, n) => (n > 0 && one - near[n - 1]! > 1 ? [null, one] : [one]))
})
</script>

<template>
  <nav v-if="entries.length > 0" class="pages" part="pages" :aria-label="say('pages')">
    <a v-if="page > 1" rel="prev" :href="addressOf(page - 1)" @click.exact.prevent="emit('turn', page - 1)">
      {{ say('previousPage') }}
    </a>
    <template v-for="(entry, n) in entries" :key="n">
      <span v-if="entry === null" aria-hidden="true">…</span>
      <span v-else-if="entry === page" class="here" aria-current="page" :aria-label="say('page', { page: entry })">
        {{ entry }}
      </span>
      <a
        v-else
        :href="addressOf(entry)"
        :aria-label="say('page', { page: entry })"
        @click.exact.prevent="emit('turn', entry)"
      >
        {{ entry }}
      </a>
    </template>
    <a v-if="page < pages" rel="next" :href="addressOf(page + 1)" @click.exact.prevent="emit('turn', page + 1)">
      {{ say('nextPage') }}
    </a>
  </nav>
</template>

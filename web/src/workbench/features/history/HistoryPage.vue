<script setup lang="ts">
import { useInfiniteQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { OwnerChange } from '../../../shared/contract'
import LoadFailure from '../../kit/LoadFailure.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import { useAccess } from '../../kit/useAccess'
import ChangeLine from './ChangeLine.vue'
import { inDays } from './inDays'

/** What owners changed in a site, day by day, each to be taken back. */
const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { edits } = useAccess(() => site)
const { data, error, isPending, hasNextPage, isFetchingNextPage, fetchNextPage, refetch } = useInfiniteQuery({
  queryKey: ['changes', () => site],
  queryFn: ({ pageParam }) => api.changes(site, pageParam),
  initialPageParam: 1,
  getNextPageParam: (last, pages) => (last.goesOn ? pages.length + 1 : null),
  staleTime: 0,
})
const words = ref('')
const all = computed(() => (data.value?.pages ?? []).flatMap(page => page.changes))
const shown = computed(() => {
  const wanted = words.value.toLowerCase().trim()
  return all.value.filter(one => `${one.told} ${one.by}`.toLowerCase().includes(wanted))
})
const days = computed(() => inDays(shown.value, new Date()))

const { busy, wrong, attempt } = useAttempt()
const said = ref('')
async function takeBack(change: OwnerChange) {
  said.value = ''
  if (await attempt(() => api.takeBack(site, change.id))) said.value = `Taken back: ${change.told}.`
  // Whatever the workbench shows may be another thing now.
  await queries.invalidateQueries()
}
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/settings`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      Site
    </RouterLink>
    <div class="page-head">
      <div>
        <h1>What happened</h1>
        <p class="lead">
          What you and others changed in the content, its sources and the site, and what runs and pushes removed, to be
          taken back for 30 days. What was added is deleted in its own place; searches have their own steps back, and
          their versions under
          <i>Go live</i>.
        </p>
      </div>
      <InputText
        v-if="all.length > 8"
        v-model="words"
        aria-label="Only what has these words"
        placeholder="Find in it"
      />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="isPending" class="quiet">Looking it up…</p>
    <p v-else-if="all.length === 0" class="slip none">Nobody changed anything by hand in the last 30 days.</p>
    <p v-else-if="shown.length === 0" class="quiet">Nothing of these has “{{ words }}” in it.</p>
    <section v-for="day in days" :key="day.name" class="slip day" :aria-label="day.name">
      <div class="head">
        <h2>{{ day.name }}</h2>
        <small class="quiet">can be taken back until {{ day.until }}</small>
      </div>
      <ul>
        <ChangeLine
          v-for="one in day.changes"
          :key="one.id"
          :change="one"
          :busy="busy"
          :edits="edits"
          @take-back="takeBack(one)"
        />
      </ul>
    </section>
    <Button
      v-if="hasNextPage"
      class="more"
      label="Show what came before"
      severity="secondary"
      outlined
      :loading="isFetchingNextPage"
      @click="fetchNextPage()"
    />
  </main>
</template>

<style scoped>
.day {
  padding: 16px 24px 8px;
  margin-bottom: 16px;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  margin-bottom: 4px;
}
h2 {
  margin: 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.none {
  padding: 20px 24px;
}
.said:empty {
  display: none;
}
</style>

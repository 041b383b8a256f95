<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { counted, formatNumber, formatTime } from '../../kit/format'
import { api } from '../../ownerApi'
import LoadFailure from '../../kit/LoadFailure.vue'

const { site } = defineProps<{ site: string }>()
const router = useRouter()
const {
  data: collections,
  error,
  refetch,
} = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const { data: sources } = useQuery({
  queryKey: ['sources', () => site],
  queryFn: () => api.sources(site),
  staleTime: 0,
})
const { data: findings } = useQuery({ queryKey: ['health', () => site], queryFn: () => api.health(site), staleTime: 0 })
const total = computed(() => (collections.value ?? []).reduce((sum, one) => sum + one.items, 0))
const sourcesOf = (collection: string) => (sources.value ?? []).filter(one => one.collection === collection)
const findingsOf = (collection: string) => (findings.value ?? []).filter(one => one.collection === collection)
const icons = { file: 'pi-file', feed: 'pi-megaphone', crawl: 'pi-sitemap' }
const states = { running: 'runs now', asking: 'asks you', done: 'brought in', failed: 'failed', stopped: 'was stopped' }
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Content</h1>
        <p v-if="collections && collections.length > 0" class="lead">
          {{ counted(total, 'item') }} in {{ counted(collections.length, 'collection') }}. A search finds what stands
          here.
        </p>
      </div>
      <Button label="Bring content in" icon="pi pi-plus" @click="router.push(`/${site}/sources/new`)" />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="collections && collections.length > 0">
      <RouterLink v-if="findings && findings.length > 0" :to="`/${site}/health`" class="health slip">
        <i class="pi pi-heart" aria-hidden="true" />
        <span>
          <b>{{ counted(findings.length, 'thing') }} to look at.</b>
          {{ findings[0]!.what }}<template v-if="findings.length > 1">, and more</template>.
        </span>
        <span class="go">
          See what is wrong
          <i class="pi pi-arrow-right" aria-hidden="true" />
        </span>
      </RouterLink>
      <p v-else-if="findings" class="health slip calm">
        <i class="pi pi-check-circle" aria-hidden="true" />
        <span>Nothing is wrong with your content.</span>
      </p>
      <ul class="collections">
        <li v-for="one in collections" :key="one.key" class="slip">
          <div class="name">
            <RouterLink class="whole" :to="`/${site}/content/${one.key}`">
              <h2>{{ one.label }}</h2>
            </RouterLink>
            <p>
              <b class="number">{{ formatNumber(one.items) }}</b>
              {{ one.items === 1 ? 'item' : 'items' }}
            </p>
          </div>
          <p class="quiet fields">
            <span v-for="field in one.fields.slice(0, 7)" :key="field.key">{{ field.label }}</span>
            <span v-if="one.fields.length > 7">and {{ one.fields.length - 7 }} more</span>
            <span v-if="one.fields.length === 0">Nothing has been brought in yet.</span>
          </p>
          <p
            v-for="source in sourcesOf(one.key)"
            :key="source.id"
            class="source"
            :class="{ bad: source.last?.state === 'failed', asks: source.last?.state === 'asking' }"
          >
            <i class="pi" :class="icons[source.settings.kind]" aria-hidden="true" />
            <RouterLink :to="`/${site}/sources/${source.id}`">{{ source.name }}</RouterLink>
            <span class="quiet">
              {{
                source.last
                  ? `${states[source.last.state]}${source.last.state === 'running' ? '' : ` ${formatTime(source.last.ended ?? source.last.begun)}`}`
                  : 'has not run yet'
              }}
            </span>
          </p>
          <p v-if="sourcesOf(one.key).length === 0" class="source">
            <i class="pi pi-send" aria-hidden="true" />
            <span class="quiet">{{ one.items > 0 ? 'sent by a script' : 'no source yet' }}</span>
          </p>
          <p v-if="findingsOf(one.key).length > 0" class="open">
            <span class="lamp" aria-hidden="true" />
            {{ counted(findingsOf(one.key).length, 'thing') }} to look at
          </p>
        </li>
      </ul>
    </template>
    <section v-else-if="collections" class="slip empty">
      <h2>Bring in what your site has</h2>
      <p class="lead">
        Posts, makers, recipes, homes: from a file, from a feed, or from the pages themselves. You see what is there
        before anything is taken.
      </p>
      <Button label="Bring content in" icon="pi pi-plus" @click="router.push(`/${site}/sources/new`)" />
    </section>
  </main>
</template>

<style scoped>
.health {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 12px 20px;
  margin-bottom: 16px;
  color: inherit;
  text-decoration: none;
  background: var(--lamp-wash);
  border-color: #eed9ae;
}
.health .pi-heart {
  color: var(--lamp-deep);
}
.health .go {
  margin-inline-start: auto;
  font-weight: 600;
  color: var(--lamp-deep);
  white-space: nowrap;
}
.health .go .pi {
  font-size: 12px;
}
.health.calm {
  background: var(--card);
  border-color: var(--line);
}
.health.calm .pi {
  color: var(--good);
}
.collections {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
  gap: 16px;
}
.collections li {
  position: relative;
  padding: 16px 20px;
  display: grid;
  gap: 8px;
  align-content: start;
}
.collections li:hover {
  border-color: var(--edge);
}
.name {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 12px;
}
.name b {
  font-size: 20px;
  font-weight: 650;
}
.whole {
  color: inherit;
  text-decoration: none;
}
.whole::after {
  content: '';
  position: absolute;
  inset: 0;
  border-radius: 10px;
}
.whole:focus-visible {
  outline: 0;
}
.whole:focus-visible::after {
  outline: 2px solid var(--sea);
  outline-offset: 2px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  font-size: 13px;
}
.source {
  display: flex;
  align-items: baseline;
  gap: 8px;
  font-size: 13px;
  flex-wrap: wrap;
}
.source a {
  position: relative;
  font-weight: 600;
}
.source .pi {
  color: var(--sea);
  font-size: 13px;
}
.source.bad .quiet {
  color: var(--bad);
}
.source.asks .quiet {
  color: var(--lamp-deep);
  font-weight: 600;
}
.open {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 13px;
  color: var(--lamp-deep);
  font-weight: 600;
}
.lamp {
  width: 9px;
  height: 9px;
  border-radius: 50%;
  border: 2px solid var(--lamp-deep);
}
.empty {
  padding: 32px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
</style>

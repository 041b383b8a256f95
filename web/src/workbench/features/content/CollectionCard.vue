<script setup lang="ts">
import type { CollectionShape, SourceShape } from '../../../shared/contract'
import { counted, formatNumber, formatTime } from '../../kit/format'

/** One collection among the content: how much is in it, where it comes from, how it is. */
const { collection } = defineProps<{
  site: string
  collection: CollectionShape
  /** That bring items into it. */
  sources: readonly SourceShape[]
  /** How many things are to be looked at. */
  findings: number
}>()
const ICONS = { file: 'pi-file', feed: 'pi-megaphone', crawl: 'pi-sitemap' }
const STATES = { running: 'runs now', asking: 'asks you', done: 'brought in', failed: 'failed', stopped: 'was stopped' }
const FIELDS = 7
function lastRun({ last }: SourceShape): string {
  if (!last) return 'has not run yet'
  return last.state === 'running' ? STATES.running : `${STATES[last.state]} ${formatTime(last.ended ?? last.begun)}`
}
</script>

<template>
  <li class="slip">
    <div class="name">
      <RouterLink class="whole" :to="`/${site}/content/${collection.key}`">
        <h2>{{ collection.label }}</h2>
      </RouterLink>
      <p>
        <b class="number">{{ formatNumber(collection.items) }}</b>
        {{ collection.items === 1 ? 'item' : 'items' }}
      </p>
    </div>
    <p class="quiet fields">
      <span v-for="field in collection.fields.slice(0, FIELDS)" :key="field.key">{{ field.label }}</span>
      <span v-if="collection.fields.length > FIELDS">and {{ collection.fields.length - FIELDS }} more</span>
      <span v-if="collection.fields.length === 0">Nothing has been brought in yet.</span>
    </p>
    <p
      v-for="source in sources"
      :key="source.id"
      class="source"
      :class="{ bad: source.last?.state === 'failed', asks: source.last?.state === 'asking' }"
    >
      <i class="pi" :class="ICONS[source.settings.kind]" aria-hidden="true" />
      <RouterLink :to="`/${site}/sources/${source.id}`">{{ source.name }}</RouterLink>
      <span class="quiet">
        {{ lastRun(source) }}
      </span>
    </p>
    <p v-if="sources.length === 0" class="source">
      <i class="pi pi-send" aria-hidden="true" />
      <span class="quiet">{{ collection.items > 0 ? 'sent by a script' : 'no source yet' }}</span>
    </p>
    <p v-if="findings > 0" class="open">
      <span class="lamp" aria-hidden="true" />
      {{ counted(findings, 'thing') }} to look at
    </p>
  </li>
</template>

<style scoped>
li {
  position: relative;
  padding: 16px 20px;
  display: grid;
  gap: 8px;
  align-content: start;
}
li:hover {
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
</style>

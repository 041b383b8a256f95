<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { CollectionShape, SearchDesign, Tier } from '../../../shared/contract'
import { keyFrom } from '../filters/filters'
import { counted } from '../../kit/format'
import { api } from '../../ownerApi'
import { byRank, ranked, withLift, withNewTier } from './tiers'
import TierEditor from './TierEditor.vue'

/** The featured tiers of a search, the highest first. */
const { site, search, collections, design } = defineProps<{
  site: string
  search: string
  collections: readonly CollectionShape[]
  design: SearchDesign
}>()
const emit = defineEmits<{ change: [part: string, changed: (now: SearchDesign) => SearchDesign] }>()
const MOST = 12
const { data: featured } = useQuery({
  queryKey: ['reach', () => search, 'featured'],
  queryFn: () => api.featured(search),
  staleTime: 0,
})
const tiers = computed(() => byRank(design.tiers))
const figures = (key: string) => featured.value?.tiers.find(one => one.key === key)
const opened = ref<string | null>(null)
function add() {
  const name =
    ['Beacon', 'Harbour light', 'Lantern'].find(one => !design.tiers.some(tier => tier.name === one)) ??
    `Tier ${design.tiers.length + 1}`
  const key = keyFrom(
    name,
    design.tiers.map(tier => tier.key),
  )
  emit('change', 'tiers', now => withNewTier(now, name))
  opened.value = key
}
const put = (tier: Tier) =>
  emit('change', `tier.${tier.key}`, now => {
    const changed = { ...now, tiers: now.tiers.map(one => (one.key === tier.key ? tier : one)) }
    const begins = tier.lift !== null && now.tiers.every(one => one.lift === null)
    return begins ? withLift(changed) : changed
  })
const take = (key: string) =>
  emit('change', 'tiers', now => ({ ...now, tiers: ranked(byRank(now.tiers).filter(one => one.key !== key)) }))
const move = (at: number, by: number) =>
  emit('change', 'tiers', now => {
    const moved = byRank(now.tiers)
    const [one] = moved.splice(at, 1)
    if (one) moved.splice(at + by, 0, one)
    return { ...now, tiers: ranked(moved) }
  })
function line(tier: Tier): string {
  const does = tier.lift === null ? 'only marks' : tier.lift.most === null ? 'lifts all' : `lifts ${tier.lift.most}`
  const holders = figures(tier.key)?.holders
  return [does, tier.disclosure !== null ? 'paid' : '', holders === undefined ? '…' : counted(holders, 'item')]
    .filter(Boolean)
    .join(' · ')
}
</script>

<template>
  <p class="lead">
    Listings that stand out, and come first if you like. What a tier does and how it looks is published with the search;
    who holds it by hand holds at once.
  </p>
  <p v-if="tiers.length === 0" class="quiet empty">
    No tier yet. With one you can lift what matters to you, or sell a featured place.
  </p>
  <section v-for="(tier, at) in tiers" :key="tier.key" class="slip" :aria-label="tier.name">
    <div class="head">
      <span
        class="swatch"
        aria-hidden="true"
        :style="{
          background: tier.looks.ground ?? '#fff',
          borderColor: tier.looks.edge === 'none' ? 'var(--line)' : tier.looks.edgeColor,
        }"
      >
        <i v-if="tier.looks.ribbon" :style="{ background: tier.looks.ribbon.ground }" />
      </span>
      <button
        type="button"
        class="name"
        :aria-expanded="opened === tier.key"
        @click="opened = opened === tier.key ? null : tier.key"
      >
        <b>{{ tier.name }}</b>
        <small class="quiet">{{ line(tier) }}</small>
      </button>
      <Button
        icon="pi pi-arrow-up"
        text
        rounded
        size="small"
        severity="secondary"
        :disabled="at === 0"
        :aria-label="`Move ${tier.name} up`"
        @click="move(at, -1)"
      />
      <Button
        icon="pi pi-arrow-down"
        text
        rounded
        size="small"
        severity="secondary"
        :disabled="at === tiers.length - 1"
        :aria-label="`Move ${tier.name} down`"
        @click="move(at, 1)"
      />
      <Button
        icon="pi pi-times"
        text
        rounded
        size="small"
        severity="secondary"
        :aria-label="`Take the tier ${tier.name} away`"
        @click="take(tier.key)"
      />
    </div>
    <TierEditor
      v-if="opened === tier.key"
      :site="site"
      :search="search"
      :collections="collections"
      :figures="figures(tier.key)"
      :model-value="tier"
      @update:model-value="put"
    />
  </section>
  <Button
    v-if="tiers.length < MOST"
    label="Add a tier"
    icon="pi pi-plus"
    size="small"
    severity="secondary"
    outlined
    class="more"
    @click="add"
  />
</template>

<style scoped>
.slip {
  margin-top: 10px;
  padding: 8px 10px 8px 12px;
}
.empty {
  margin-top: 12px;
}
.head {
  display: flex;
  align-items: center;
  gap: 2px;
}
.head :deep(.p-button) {
  width: 30px;
  height: 30px;
  padding: 0;
  flex: none;
}
.swatch {
  position: relative;
  flex: none;
  width: 30px;
  height: 24px;
  margin-right: 8px;
  border: 2px solid;
  border-radius: 6px;
}
.swatch i {
  position: absolute;
  top: -5px;
  right: 2px;
  width: 16px;
  height: 7px;
  border-radius: 4px;
}
.name {
  flex: 1;
  min-width: 0;
  padding: 4px 0;
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
}
.name small {
  display: block;
}
.name:focus-visible {
  outline: 2px solid var(--sea);
  outline-offset: 2px;
  border-radius: 4px;
}
.more {
  margin-top: 12px;
}
</style>

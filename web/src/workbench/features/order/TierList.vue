<script setup lang="ts">
import { withRanking } from '../searches/designParts'
import { useDesignRules } from '../design-rules/useDesignRules'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { CollectionShape, SearchDesign, Tier } from '../../../shared/contract'
import { keyFrom } from '../../kit/keyFrom'
import IconButton from '../../kit/IconButton.vue'
import { moved } from '../../kit/moved'
import NameButton from '../../kit/NameButton.vue'
import ReorderableList from '../../kit/ReorderableList.vue'
import { api } from '../../ownerApi'
import TierEditor from './TierEditor.vue'
import { byRank, ranked, tierSaid, withLift, withNewTier } from './tiers'
import TierSwatch from './TierSwatch.vue'

/** The featured tiers of a search, the highest first. */
const { site, search, collections, design } = defineProps<{
  site: string
  search: string
  collections: readonly CollectionShape[]
  design: SearchDesign
}>()
const emit = defineEmits<{ change: [part: string, changed: (now: SearchDesign) => SearchDesign] }>()
const { limit } = useDesignRules()
const { data: featured } = useQuery({
  queryKey: ['reach', () => search, 'featured'],
  queryFn: () => api.featured(search),
  staleTime: 0,
})
const tiers = computed(() => byRank(design.ranking.tiers))
const figures = (key: string) => featured.value?.tiers.find(one => one.key === key)
const opened = ref<string | null>(null)
function add() {
  const name =
    ['Beacon', 'Harbour light', 'Lantern'].find(one => !design.ranking.tiers.some(tier => tier.name === one)) ??
    `Tier ${design.ranking.tiers.length + 1}`
  const key = keyFrom(
    name,
    design.ranking.tiers.map(tier => tier.key),
  )
  emit('change', 'tiers', now => withNewTier(now, name))
  opened.value = key
}
const put = (tier: Tier) =>
  emit('change', `tier.${tier.key}`, now => {
    const changed = withRanking(now, { tiers: now.ranking.tiers.map(one => (one.key === tier.key ? tier : one)) })
    const begins = tier.lift !== null && now.ranking.tiers.every(one => one.lift === null)
    return begins ? withLift(changed) : changed
  })
const take = (key: string) =>
  emit('change', 'tiers', now =>
    withRanking(now, { tiers: ranked(byRank(now.ranking.tiers).filter(one => one.key !== key)) }),
  )
const move = (from: number, to: number) =>
  emit('change', 'tiers', now => withRanking(now, { tiers: ranked(moved(byRank(now.ranking.tiers), from, to)) }))
</script>

<template>
  <p class="lead">
    Listings that stand out, and come first if you like. What a tier does and how it looks is published with the search;
    who holds it by hand holds at once.
  </p>
  <p v-if="tiers.length === 0" class="quiet empty">
    No tier yet. With one you can lift what matters to you, or sell a featured place.
  </p>
  <ReorderableList
    v-if="tiers.length > 0"
    label="Tiers, the highest first"
    :items="tiers"
    :key-of="tier => tier.key"
    :name-of="tier => tier.name"
    @move="move"
  >
    <template #default="{ item: tier }">
      <div class="tier-name">
        <TierSwatch :looks="tier.looks" aria-hidden="true" />
        <NameButton
          :name="tier.name"
          :line="tierSaid(tier, figures(tier.key)?.holders)"
          :open="opened === tier.key"
          @click="opened = opened === tier.key ? null : tier.key"
        />
      </div>
    </template>
    <template #after-steps="{ item: tier }">
      <IconButton icon="times" :label="`Take the tier ${tier.name} away`" @click="take(tier.key)" />
    </template>
    <template #below="{ item: tier }">
      <TierEditor
        v-if="opened === tier.key"
        :site="site"
        :search="search"
        :collections="collections"
        :figures="figures(tier.key)"
        :model-value="tier"
        @update:model-value="put"
      />
    </template>
  </ReorderableList>
  <Button
    v-if="tiers.length < (limit('ranking.tiers')?.most ?? 0)"
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
.empty {
  margin-top: 12px;
}
.tier-name {
  display: flex;
  align-items: center;
  gap: 6px;
}
.more {
  margin-top: 12px;
}
</style>

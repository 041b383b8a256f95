<script setup lang="ts">
import { computed } from 'vue'
import type { CollectionShape, Tier, TierFigures } from '../../../shared/contract'
import FoldingSection from '../../kit/FoldingSection.vue'
import { settingsOf } from '../../kit/settingsOf'
import TierDoes from './TierDoes.vue'
import TierLooksEditor from './TierLooksEditor.vue'
import TierPlacements from './TierPlacements.vue'
import TierRules from './TierRules.vue'
import { looksSaid, ruleSaid } from './tiers'

/** One featured tier: what it does, who holds it, how it looks. */
const { site, search, collections, figures } = defineProps<{
  site: string
  search: string
  collections: readonly CollectionShape[]
  figures: TierFigures | undefined
}>()
const tier = defineModel<Tier>({ required: true })
const settings = settingsOf(tier)
const rules = computed(() =>
  tier.value.holders.length === 0
    ? 'no rule; by hand only'
    : tier.value.holders.map(one => ruleSaid(one, collections)).join(' or '),
)
</script>

<template>
  <div class="tier">
    <TierDoes v-model="tier" />
    <FoldingSection title="Who holds it" :said="rules">
      <h4>By what items say</h4>
      <TierRules v-model="settings.holders" :site="site" :collections="collections" />
      <h4>By hand</h4>
      <TierPlacements :site="site" :search="search" :tier="tier.key" :collections="collections" />
    </FoldingSection>
    <FoldingSection title="How it looks" :said="looksSaid(tier.looks)">
      <TierLooksEditor v-model="settings.looks" :figures="figures" />
    </FoldingSection>
  </div>
</template>

<style scoped>
.tier {
  display: grid;
  gap: 10px;
  padding: 10px 8px 8px 30px;
}
h4 {
  margin: 2px 0 -2px;
  font-size: 13px;
  font-weight: 650;
}
</style>

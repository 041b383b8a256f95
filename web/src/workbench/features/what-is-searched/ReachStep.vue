<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import type { CollectionShape, ReachRule, Searched, SearchSummary } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import SwitchField from '../../kit/SwitchField.vue'
import { api } from '../../ownerApi'
import StepRemarks from '../searches/StepRemarks.vue'
import type { DraftEditing } from '../searches/useDraft'
import { withSearched, type Listed, type RulePart } from './reach'
import ReachedItems from './ReachedItems.vue'
import SearchedCollection from './SearchedCollection.vue'
import { useRuleNames } from './useRuleNames'

/** Which collections are searched, and by which rules which of their items. */
const { draft, site, search, collections, summary } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const searched = computed(() => draft.design.value?.reach.collections ?? [])
const searchedAs = (key: string) => searched.value.find(one => one.collection === key)
const all = computed(() => collections.reduce((sum, one) => sum + one.items, 0))
/** Collections that the design names and the site no longer has. */
const gone = computed(() =>
  searched.value.map(one => one.collection).filter(key => !collections.some(one => one.key === key)),
)
const hasRules = computed(() => searched.value.some(one => one.only.length + one.leaveOut.length > 0))
const { data: counts } = useQuery({ queryKey: ['reach', () => search], queryFn: () => api.reach(search), staleTime: 0 })
const said = useRuleNames(
  () => site,
  () => searched.value,
)

function change(part: string, changed: (now: Searched[]) => Searched[]) {
  draft.change(part, design => ({ ...design, reach: { collections: changed(design.reach.collections) } }))
}
const turn = (key: string, isSearched: boolean) =>
  change(`reach.${key}`, now => withSearched(now, key, isSearched, collections))
const putRules = (key: string, part: RulePart, rules: ReachRule[]) =>
  change(`reach.${key}.rules`, now => now.map(one => (one.collection === key ? { ...one, [part]: rules } : one)))
const listed = ref<Listed | null>(null)
</script>

<template>
  <h2>What is searched</h2>
  <p class="lead">
    Visitors find items of these collections. Items that arrive later follow the same rules by themselves.
  </p>
  <p class="sum">
    <b class="number">{{ counts ? formatNumber(counts.inReach) : '…' }}</b>
    of {{ counted(all, 'item') }} can be found
  </p>
  <StepRemarks step="reach" :summary="summary" />
  <ul class="collections">
    <SearchedCollection
      v-for="one in collections"
      :key="one.key"
      :site="site"
      :collection="one"
      :searched="searchedAs(one.key)"
      :counts="counts?.collections.find(other => other.collection === one.key)"
      :said="rule => said(one, rule)"
      @turn="turn(one.key, $event)"
      @rules="(part, rules) => putRules(one.key, part, rules)"
      @list="listed = { collection: one, ...$event }"
    />
    <li v-for="key in gone" :key="key" class="slip gone">
      <SwitchField :label="`${key}, gone from the site`" :model-value="true" @update:model-value="turn(key, $event)" />
    </li>
  </ul>
  <p v-if="hasRules" class="quiet how">
    Leaving out wins over letting in. “Only” rules on the same thing are alternatives; on different things all must
    hold.
  </p>
  <ReachedItems
    v-if="listed"
    :search="search"
    :site="site"
    :collection="listed.collection.key"
    :which="listed.which"
    :rule="listed.rule"
    :title="listed.title"
    @close="listed = null"
  />
</template>

<style scoped>
.sum {
  margin: 16px 0 12px;
}
.sum b {
  font-size: 22px;
  font-weight: 650;
}
.collections {
  list-style: none;
  margin: 12px 0 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.gone {
  padding: 10px 16px;
}
.how {
  margin-top: 12px;
  font-size: 13px;
}
</style>

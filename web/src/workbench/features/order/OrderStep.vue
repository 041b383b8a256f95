<script setup lang="ts">
import { withRanking } from '../searches/designParts'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { CollectionShape, ResultOrder, SearchSummary } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import StepRemarks from '../searches/StepRemarks.vue'
import type { DraftEditing } from '../searches/useDraft'
import FeaturedShares from './FeaturedShares.vue'
import OrderChoices from './OrderChoices.vue'
import OrderKeys from './OrderKeys.vue'
import { optionsFor } from './orders'
import PinsEditor from './PinsEditor.vue'
import TierList from './TierList.vue'

/** What comes first, and what stands out: the order, featured tiers, pins, and how much of a page is featured. */
const { draft, collections, summary } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const emit = defineEmits<{ ask: [query: string] }>()
const views = [
  { value: 'order', label: 'Order' },
  { value: 'tiers', label: 'Tiers' },
  { value: 'pins', label: 'Pins' },
  { value: 'share', label: 'How much' },
]
const view = ref('order')
const route = useRoute()
watch(
  () => route.hash,
  part => {
    view.value = views.find(one => `#${one.value}` === part)?.value ?? (part === '#choices' ? 'order' : view.value)
  },
  { immediate: true },
)
const order = computed(() => draft.design.value!.ranking.order)
const searched = computed(() =>
  collections.filter(one => draft.design.value!.reach.collections.some(other => other.collection === one.key)),
)
const options = computed(() => optionsFor(searched.value))
function put(part: string, changed: Partial<ResultOrder>) {
  draft.change(part, design => withRanking(design, { order: { ...design.ranking.order, ...changed } }))
}
</script>

<template>
  <h2>Order &amp; featured</h2>
  <ButtonChoice v-model="view" class="views" label="What is decided here" :options="views" />
  <StepRemarks step="order" :summary="summary" />
  <template v-if="view === 'order'">
    <p class="lead">
      What comes first. Equals go on to the next key, and the last equals stand by their id, so that pages never repeat
      an item. What says nothing comes last.
    </p>
    <section class="slip">
      <h3>With words typed</h3>
      <OrderKeys
        label="Order with words"
        :options="options"
        :model-value="order.withWords"
        @update:model-value="put('order.withWords', { withWords: $event })"
      />
    </section>
    <section class="slip">
      <h3>Without words</h3>
      <OrderKeys
        label="Order without words"
        :options="options"
        :model-value="order.withoutWords"
        @update:model-value="put('order.withoutWords', { withoutWords: $event })"
      />
    </section>
    <OrderChoices :order="order" :options="options" @change="put" />
  </template>
  <TierList
    v-else-if="view === 'tiers'"
    :site="site"
    :search="search"
    :collections="searched"
    :design="draft.design.value!"
    @change="draft.change"
  />
  <PinsEditor
    v-else-if="view === 'pins'"
    :search="search"
    :collections="collections"
    :model-value="draft.design.value!.ranking.pins"
    @update:model-value="draft.change('pins', design => withRanking(design, { pins: $event }))"
    @ask="emit('ask', $event)"
  />
  <FeaturedShares
    v-else
    :search="search"
    :model-value="order.mostFeatured"
    @update:model-value="put('order.mostFeatured', { mostFeatured: $event })"
    @ask="emit('ask', $event)"
  />
</template>

<style scoped>
.views {
  margin: 10px 0 12px;
}
.slip {
  margin-top: 12px;
  padding: 12px 14px;
}
h3 {
  margin: 0 0 8px;
  font-size: 14.5px;
  font-weight: 650;
}
</style>

<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import type { CollectionShape, NamedItem, ReachRule, SearchDesign } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import IconButton from '../../kit/IconButton.vue'
import LoadFailure from '../../kit/LoadFailure.vue'
import { api } from '../../ownerApi'
import type { DraftEditing } from '../searches/useDraft'
import WhyFound from './WhyFound.vue'
import WhyNotFound from './WhyNotFound.vue'
import WhyQuestion from './WhyQuestion.vue'
import { namesFor } from './whySaid'
import WhyTrial from './WhyTrial.vue'

/** Why a query finds an item where it does, or why it does not; and what would change that, on the draft. */
const { draft, search, collections, live, typed, ticked } = defineProps<{
  draft: DraftEditing
  search: string
  collections: readonly CollectionShape[]
  live: boolean
  typed: string
  ticked: Readonly<Record<string, readonly string[]>>
}>()
const shown = defineModel<boolean>({ required: true })
const PAUSE_MS = 250
const words = ref('')
/** What is asked, a moment after the last key: an explanation is work for the service. */
const asked = refDebounced(words, PAUSE_MS)
const which = ref<'draft' | 'live-version'>('draft')
const SIDES = [
  { value: 'draft', label: 'Draft' },
  { value: 'live-version', label: 'Live' },
] as const
const picked = ref<NamedItem | string | null>(null)
const item = computed(() => (picked.value !== null && typeof picked.value === 'object' ? picked.value : null))
watch(shown, async now => {
  if (!now) return
  words.value = typed || words.value
  await nextTick()
  document.getElementById('why-words')?.focus()
})
const names = computed(() => namesFor(collections, item.value?.collection))

const {
  data: why,
  error,
  refetch,
} = useQuery({
  queryKey: [
    'reach',
    () => search,
    'why',
    which,
    asked,
    () => item.value?.collection,
    () => item.value?.id,
    () => ticked,
  ],
  enabled: computed(() => item.value !== null),
  placeholderData: keepPreviousData,
  staleTime: 0,
  queryFn: () => api.why(search, which.value, asked.value, item.value!, ticked),
})
const cut = computed(() =>
  (why.value?.words ?? [])
    .filter(word => word.cut)
    .map(word => `“${word.word}”`)
    .join(', '),
)
const isTriable = computed(() => asked.value.trim() !== '' && why.value?.startingList === false)

function mend(after: SearchDesign) {
  draft.change('why', () => after)
  // The button goes with the reason that it takes away; the keys stay here.
  document.getElementById('why-heading')?.focus()
}
const leaveOut = (rule: ReachRule) =>
  draft.change('why.leave-out', design => ({
    ...design,
    reach: {
      collections: design.reach.collections.map(one =>
        one.collection === item.value?.collection ? { ...one, leaveOut: [...one.leaveOut, rule] } : one,
      ),
    },
  }))
</script>

<template>
  <aside v-if="shown" class="why" aria-labelledby="why-heading" @keydown.esc="shown = false">
    <div class="head">
      <h2 id="why-heading" tabindex="-1">Why?</h2>
      <IconButton icon="times" label="Close" @click="shown = false" />
    </div>
    <div class="asked">
      <WhyQuestion v-model:words="words" v-model:picked="picked" :search="search" :names="names" />
      <ButtonChoice v-if="live" v-model="which" label="Which version is asked" :options="SIDES" />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch" />
    <template v-else-if="item && why">
      <p v-if="cut" class="cut">
        <i class="pi pi-info-circle" aria-hidden="true" />
        So many words stand nowhere as they are typed that {{ cut }} was looked for in no other way. Shorter queries are
        looked at word by word.
      </p>
      <WhyFound v-if="why.place" :why="why" :names="names" :is-draft="which === 'draft'" @leave-out="leaveOut" />
      <WhyNotFound v-else :why="why" :names="names" :is-draft="which === 'draft'" @mend="mend" />
      <WhyTrial v-if="isTriable" :search="search" :query="asked" :item="item" :why="why" />
    </template>
    <p v-else class="quiet">
      Choose an item, found or not. You see which words met which fields and what each gave, or every reason that keeps
      it out.
    </p>
  </aside>
</template>

<style scoped>
/* Over the decisions, beside the stage: what a click changes is seen at once. */
.why {
  position: fixed;
  /* Below the bar with the product's name. */
  inset: 48px auto 0 0;
  z-index: 20;
  width: min(600px, 92vw);
  padding: 14px 20px 24px;
  overflow-y: auto;
  background: var(--card);
  box-shadow: 6px 0 28px rgb(27 42 51 / 22%);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 12px;
}
.asked {
  display: grid;
  gap: 12px;
  justify-items: stretch;
  margin-bottom: 16px;
}
.cut {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-bottom: 12px;
}
.cut .pi {
  color: var(--lamp-deep);
}
/* What came of it, in both of its parts. */
.why :deep(.verdict) {
  display: flex;
  gap: 10px;
  padding: 10px 14px;
  border-radius: 8px;
  background: var(--bad-wash);
  color: #84261d;
  margin-bottom: 12px;
}
.why :deep(.verdict.hit) {
  background: #e6f1ea;
  color: #225c3a;
}
.why :deep(.verdict .pi) {
  margin-top: 3px;
}
</style>

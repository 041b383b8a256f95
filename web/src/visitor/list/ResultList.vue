<script lang="ts">
const wallViewer = late(() => import('./WallViewer.vue').then(one => one.default))
</script>

<script setup lang="ts">
import { computed, ref, watchEffect } from 'vue'
import type { Hit, Results } from '../../shared/contract'
import { late } from '../../shared/late'
import { cardOf } from '../cards/cardOf'
import cards from '../cards/cards.css?inline'
import ResultCard from '../cards/ResultCard.vue'
import { useTierStyle } from '../cards/tierStyle'
import { tierLook } from '../look/tierLook'
import { useStyle } from '../look/useStyle'
import { useArrangedStyle } from './arrangedStyle'
import { standingStyle } from './standingStyle'

/** The cards of the results, as the owner has them stand. */
const { answer, standing } = defineProps<{
  answer: Results
  /** Why a result stands where it stands, in words, above its card; null for visitors. */
  standing: ((hit: Hit) => string) | null
  target: string | undefined
}>()
const emit = defineEmits<{
  follow: [hit: Hit, event: Event]
  narrow: [tag: string]
  /** Somebody looks on at pictures of another page. */
  turn: [page: number]
}>()
useStyle(cards)
useTierStyle()
useArrangedStyle()
standingStyle.use()
watchEffect(() => {
  if (standing) void standingStyle.load()
})
const drawn = computed(() =>
  answer.hits.map(hit => ({ hit, card: cardOf(hit, answer.cards), look: tierLook(hit, answer.tiers) })),
)
const layout = computed(() => answer.list.layout)
const list = ref<HTMLElement>()
const opensLarge = computed(() => layout.value.arranged === 'wall' && layout.value.viewer)
/** Nothing waits for it: until it has come, a picture is a link like any other. */
const WallViewer = computed(() => (opensLarge.value ? wallViewer.wanted() : undefined))
const viewer = ref<{ isPicture: (hit: Hit) => boolean; open: (hit: Hit) => void }>()

/** What else stands on a card is no choice of its result, unless its picture opens large. */
function chosen(hit: Hit, event: MouseEvent) {
  const link = event.composedPath().find(one => one instanceof HTMLAnchorElement)
  const isPlain = !(event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
  if (isPlain && viewer.value?.isPicture(hit) && (!link || link.closest('.title'))) {
    event.preventDefault()
    viewer.value.open(hit)
  } else if (link?.closest('.title')) emit('follow', hit, event)
}
</script>

<template>
  <ol ref="list" class="cards" :class="layout.arranged" :style="{ '--most-columns': layout.columns ?? undefined }">
    <li v-for="{ hit, card, look } in drawn" :key="`${hit.collection}/${hit.id}`" @click="chosen(hit, $event)">
      <p v-if="standing && hit.standing" class="standing">{{ standing(hit) }}</p>
      <ResultCard v-if="card" :hit="hit" :card="card" :look="look" :target="target" />
    </li>
  </ol>
  <component
    :is="WallViewer"
    v-if="WallViewer"
    ref="viewer"
    :answer="answer"
    :list="list"
    :target="target"
    @follow="(hit: Hit, event: Event) => emit('follow', hit, event)"
    @narrow="(tag: string) => emit('narrow', tag)"
    @turn="(page: number) => emit('turn', page)"
  />
</template>

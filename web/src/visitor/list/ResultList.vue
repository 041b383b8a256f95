<script setup lang="ts">
import { computed } from 'vue'
import type { Hit, Results } from '../../shared/contract'
import { cardOf } from '../cards/cardOf'
import cards from '../cards/cards.css?inline'
import ResultCard from '../cards/ResultCard.vue'
import tiers from '../cards/tiers.css?inline'
import { tierLook } from '../look/tierLook'
import { useStyle } from '../look/useStyle'

/** The cards of the results, as the owner has them stand. */
const { answer } = defineProps<{
  answer: Results
  /** Why a result stands where it stands, in words, above its card; null for visitors. */
  standing: ((hit: Hit) => string) | null
  target: string | undefined
}>()
const emit = defineEmits<{ follow: [hit: Hit, event: Event] }>()
for (const css of [cards, tiers]) useStyle(css)
const drawn = computed(() =>
  answer.hits.map(hit => ({ hit, card: cardOf(hit, answer.cards), look: tierLook(hit, answer.tiers) })),
)
/** What else stands on a card is no choice of its result. */
function follow(hit: Hit, event: Event) {
  const link = event.composedPath().find(one => one instanceof HTMLAnchorElement)
  if (link?.closest('.title')) emit('follow', hit, event)
}
</script>

<template>
  <ol class="cards" :class="answer.list.arranged" :style="{ '--most-columns': answer.list.columns ?? undefined }">
    <li v-for="{ hit, card, look } in drawn" :key="`${hit.collection}/${hit.id}`" @click="follow(hit, $event)">
      <p v-if="standing && hit.standing" class="standing">{{ standing(hit) }}</p>
      <ResultCard v-if="card" :hit="hit" :card="card" :look="look" :target="target" />
    </li>
  </ol>
</template>

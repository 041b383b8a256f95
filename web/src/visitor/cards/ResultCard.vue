<script setup lang="ts">
import { computed } from 'vue'
import type { CardFace, Hit } from '../../shared/contract'
import type { TierLook } from '../look/tierLook'
import { CardBody } from './CardBody'
import { useOwnCards } from './useOwnCards'

/** One result on a page of results: what its card says, as the service has written it. */
const { hit, card, look } = defineProps<{
  hit: Hit
  /** What stands on its card. */
  card: CardFace
  /** How it is drawn where its item holds a featured tier. */
  look: TierLook | undefined
  /** Where its link opens. */
  target: string | undefined
}>()
const ownCards = useOwnCards()
const own = computed(() => ownCards?.markupFor(hit))
</script>

<template>
  <component :is="ownCards.card" v-if="ownCards && own" :hit="hit" :card="card" :own="own" />
  <article
    v-else
    class="card"
    :class="[`for-${card.place}`, card.frame, look?.classes]"
    :part="`card${look?.part ?? ''}`"
    :data-collection="hit.collection"
  >
    <CardBody :body="card.body" :hit="hit" :look="look" :target="target" />
  </article>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { CardFace, Hit, TierFace } from '../../shared/contract'
import { CardBody } from '../cards/CardBody'
import { useOwnCards } from '../cards/useOwnCards'
import { tierLook } from '../look/tierLook'

/** One result among the live results: a row that is chosen like an option. */
const { hit, card, tiers } = defineProps<{
  hit: Hit
  /** What stands on its card. */
  card: CardFace
  tiers: readonly TierFace[]
  active: boolean
}>()
const look = computed(() => tierLook(hit, tiers))
const ownCards = useOwnCards()
const own = computed(() => ownCards?.markupFor(hit))
</script>

<template>
  <a
    role="option"
    tabindex="-1"
    class="row"
    :class="[{ active }, `for-${card.place}`, look?.classes]"
    :part="(active ? 'row row-active' : 'row') + (look?.part ?? '')"
    :aria-selected="active"
  >
    <component :is="ownCards.card" v-if="ownCards && own" :hit="hit" :card="card" :own="own" is-option />
    <CardBody v-else :body="card.body" :hit="hit" :look="look" row />
  </a>
</template>

<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'
import type { Hit, Results } from '../../shared/contract'
import { cardOf } from '../cards/cardOf'
import cards from '../cards/cards.css?inline'
import ResultCard from '../cards/ResultCard.vue'
import tiers from '../cards/tiers.css?inline'
import { pictureOf } from './viewedPictures'
import { tierLook } from '../look/tierLook'
import { useStyle } from '../look/useStyle'

/** The cards of the results, as the owner has them stand. */
const { answer } = defineProps<{
  answer: Results
  /** Why a result stands where it stands, in words, above its card; null for visitors. */
  standing: ((hit: Hit) => string) | null
  target: string | undefined
}>()
const emit = defineEmits<{ follow: [hit: Hit, event: Event]; narrow: [tag: string] }>()
const PictureViewer = defineAsyncComponent(() => import('./PictureViewer.vue'))
for (const css of [cards, tiers]) useStyle(css)
const drawn = computed(() =>
  answer.hits.map(hit => ({ hit, card: cardOf(hit, answer.cards), look: tierLook(hit, answer.tiers) })),
)
const layout = computed(() => answer.list.layout)
const pictures = computed(() =>
  layout.value.arranged === 'wall' && layout.value.viewer ? answer.hits.flatMap(hit => pictureOf(hit) ?? []) : [],
)
/** Which picture is looked at large. */
const viewed = ref<number | null>(null)
const list = ref<HTMLElement>()

/** What else stands on a card is no choice of its result, unless its picture opens large. */
function chosen(hit: Hit, event: MouseEvent) {
  const link = event.composedPath().find(one => one instanceof HTMLAnchorElement)
  const number = pictures.value.findIndex(one => one.hit === hit)
  const isPlain = !(event.ctrlKey || event.metaKey || event.shiftKey || event.altKey)
  if (number >= 0 && isPlain && (!link || link.closest('.title'))) {
    event.preventDefault()
    viewed.value = number
  } else if (link?.closest('.title')) emit('follow', hit, event)
}
/** Whoever closes a picture is back at it. */
async function close(last: number) {
  viewed.value = null
  await nextTick()
  const at = answer.hits.indexOf(pictures.value[last]?.hit as Hit)
  const link = list.value?.children[at]?.querySelector('a')
  link?.focus({ preventScroll: true })
  link?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <ol ref="list" class="cards" :class="layout.arranged" :style="{ '--most-columns': layout.columns ?? undefined }">
    <li v-for="{ hit, card, look } in drawn" :key="`${hit.collection}/${hit.id}`" @click="chosen(hit, $event)">
      <p v-if="standing && hit.standing" class="standing">{{ standing(hit) }}</p>
      <ResultCard v-if="card" :hit="hit" :card="card" :look="look" :target="target" />
    </li>
  </ol>
  <PictureViewer
    v-if="viewed !== null"
    :pictures="pictures"
    :first="viewed"
    :target="target"
    @closed="close"
    @follow="(picture, event) => emit('follow', picture.hit, event)"
    @narrow="value => emit('narrow', value)"
  />
</template>

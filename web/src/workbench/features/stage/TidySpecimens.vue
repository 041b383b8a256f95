<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Card, Specimen } from '../../../shared/contract'
import { request } from '../../request'
import { useLatest } from '../../../shared/useLatest'
import ResultCard from '../../../visitor/cards/ResultCard.vue'
import LiveResult from '../../../visitor/live/LiveResult.vue'
import { tierLook } from '../../../visitor/look/tierLook'
import { useLook } from '../../../visitor/look/useLook'
import { useSearchElement } from '../../../visitor/element/useSearchElement'
import type { WantedSpecimen } from './specimens'
import cards from '../../../visitor/cards/cards.css?inline'
import tiers from '../../../visitor/cards/tiers.css?inline'
import list from '../../../visitor/list/list.css?inline'
import arranged from '../../../visitor/list/arranged.css?inline'
import live from '../../../visitor/live/live.css?inline'
import { useStyle } from '../../../visitor/look/useStyle'
import css from './specimens.css?inline'

/** One item on its card in every place, drawn by what draws it for visitors; the place that is composed stands first. */
defineOptions({ inheritAttrs: false })
const { search = '', wanted = null } = defineProps<{
  search?: string
  wanted?: WantedSpecimen | null
}>()
const { state } = useSearchElement(search, 'draft')
const whole = ref<HTMLElement>()
const worn = useLook(whole, search, 'draft', state)
for (const one of [list, arranged, live, cards, tiers, css]) useStyle(one)
const at = ref(1)
watch(
  () => wanted?.collection,
  () => (at.value = 1),
)
const specimen = useLatest(
  () => (wanted ? { collection: wanted.collection ?? '', at: at.value, revision: state.revision } : null),
  async ({ collection, at: number }, signal) => {
    const parameters = new URLSearchParams({ collection, at: String(number) })
    const address = `/api/owner/searches/${encodeURIComponent(search)}/draft/specimen?${parameters}`
    return (await request<Specimen>(address, { signal })).body
  },
)
const shown = computed(() => specimen.value.value)

interface Bench {
  key: string
  place: Card['place']
  label: string
}
const BENCHES: readonly Bench[] = [
  { key: 'list', place: 'list', label: 'List' },
  { key: 'phone', place: 'list', label: 'List on a phone' },
  { key: 'live', place: 'live', label: 'Live results' },
  { key: 'grid', place: 'grid', label: 'Side by side' },
  { key: 'wall', place: 'wall', label: 'Wall of pictures' },
]
const drawn = computed(() => {
  const placed = shown.value?.placed ?? []
  const filled = BENCHES.flatMap(bench => {
    const one = placed.find(card => card.place === bench.place)
    return one ? [{ ...bench, ...one, look: tierLook(one.hit, shown.value?.tiers ?? []) }] : []
  })
  const composed = filled.filter(bench => bench.place === wanted?.place)
  return [...composed, ...filled.filter(bench => !composed.includes(bench))]
})
</script>

<template>
  <div ref="whole" class="specimens" :class="worn">
    <p v-if="specimen.kind === 'failed'" class="note" role="alert">{{ specimen.message }}</p>
    <p v-else-if="shown && shown.total === 0" class="note">There is no item that this card could show.</p>
    <div v-if="shown && shown.total > 1" class="which">
      <button type="button" class="again" :disabled="at === 1" @click="at--">Item before</button>
      <span>{{ at }} of {{ shown.total }}</span>
      <button type="button" class="again" :disabled="at === shown.total" @click="at++">Next item</button>
    </div>
    <section
      v-for="{ key, place, label, card, hit, look } in drawn"
      :key="key"
      class="specimen"
      :class="[`as-${key}`, { composed: place === wanted?.place }]"
      :data-place="place"
      :aria-label="label"
    >
      <h2>{{ label }}</h2>
      <div class="bench">
        <div v-if="place === 'live'" class="rows" role="listbox" :aria-label="label" :data-collection="hit.collection">
          <LiveResult :hit="hit" :card="card" :tiers="shown?.tiers ?? []" :active="false" />
        </div>
        <ol v-else class="cards" :class="place">
          <li><ResultCard :hit="hit" :card="card" :look="look" target="_blank" /></li>
        </ol>
      </div>
    </section>
  </div>
</template>

<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, provide, ref, watch } from 'vue'
import type { Hit } from '../shared/contract'
import { safeAddress } from '../shared/http'
import { useLatest } from '../shared/useLatest'
import FilterGroup from './FilterGroup.vue'
import { setIn } from './filterState'
import { MarkedRuns } from './MarkedRuns'
import { MORE_VALUES } from './moreValues'
import { addressOf, lit, sharedSearch, show } from './searchState'
import { fetchResults, fetchValues, type Source } from './service'
import { english as texts } from './texts'
import { tierLook } from './tierLook'
import TierRibbon from './TierRibbon.vue'
import { useFilterChoice } from './useFilterChoice'
import { useRoom } from './useRoom'
import { useTheme } from './useTheme'

defineOptions({ inheritAttrs: false })
const {
  search = '',
  source = 'live',
  standing = null,
} = defineProps<{
  /** The key of the search, from Go live; the box with the same key and these results belong together. */
  search?: string
  /** `draft` for the owner's stage; visitors get the live version. */
  source?: Source
  /** Why a result stands where it stands, in words, above its card; for the owner's stage, which sets it. */
  standing?: ((hit: Hit, distance: string) => string) | null
}>()
useTheme()

const PAGES_EACH_SIDE = 2
const state = sharedSearch(search)
const heading = ref<HTMLElement>()
const tries = ref(0)
const results = useLatest(
  () =>
    search
      ? { query: state.query, page: state.page, filters: state.filters, revision: state.revision, tries: tries.value }
      : null,
  (wanted, signal) => fetchResults(search, source, wanted.query, wanted.page, wanted.filters, signal),
)
const answer = computed(() => results.value.value)
provide(MORE_VALUES, {
  state: () => choice.filters.value,
  load: (filter, wanted) => fetchValues(search, source, state.query, choice.chosen.value, filter, wanted),
})
const target = computed(() => (source === 'draft' ? '_blank' : undefined))
const title = computed(() =>
  answer.value?.startingList
    ? answer.value.newestFirst
      ? texts.newest
      : texts.all
    : texts.resultsFor(answer.value?.query ?? ''),
)
const status = computed(() =>
  results.value.kind === 'ready' && answer.value ? `${title.value}: ${texts.count(answer.value.total)}` : '',
)

/** Page numbers around the current one, with both ends; null for a gap. */
const pages = computed<(number | null)[]>(() => {
  const found = answer.value
  if (!found || found.pages < 2) return []
  const near = Array.from({ length: found.pages }, (_, n) => n + 1).filter(
    page => page === 1 || page === found.pages || Math.abs(page - found.page) <= PAGES_EACH_SIDE,
  )
  return near.flatMap((page, n) => (n > 0 && page - near[n - 1]! > 1 ? [null, page] : [page]))
})

const places = computed(() => answer.value?.filterPlaces ?? null)
const atOnce = computed(() => places.value?.page.atOnce ?? true)
const choice = useFilterChoice(
  search,
  source,
  state,
  () => state.query,
  () => answer.value,
  () => atOnce.value,
)
const whole = ref<HTMLElement>()
const isNarrow = useRoom(whole)
/** Those for the room there is; what is set in the others holds all the same. */
const here = computed(() =>
  places.value?.page.shown
    ? choice.filters.value.filter(
        filter =>
          filter.offers && filter.shown.page !== 'nowhere' && filter.devices !== (isNarrow.value ? 'wide' : 'narrow'),
      )
    : [],
)
/** Behind a button they all stand together, and where there is no room. */
const together = computed(() => isNarrow.value || (places.value?.page.opened ?? 'in-view') !== 'in-view')
const atSide = computed(() => (together.value ? [] : here.value.filter(filter => filter.shown.page === 'side')))
const onTop = computed(() => (together.value ? here.value : here.value.filter(filter => filter.shown.page === 'top')))
/** What holds, whatever is being chosen: chips go at once. */
const holds = useFilterChoice(
  search,
  source,
  state,
  () => state.query,
  () => answer.value,
  () => true,
)
const holding = computed(() =>
  holds.filters.value.flatMap(filter => setIn(filter).map(value => ({ key: filter.key, ...value }))),
)
onMounted(() => {
  state.resultsHere++
})
onBeforeUnmount(() => {
  state.resultsHere--
})

/** Puts the results into an order that visitors may choose; the empty key is the owner's. */
const put = (order: string) => show(state, state.query, 1, { ...state.filters, order: order === '' ? [] : [order] })
const cards = computed(() =>
  (answer.value?.hits ?? []).map(hit => ({ hit, look: tierLook(hit, answer.value?.tiers ?? []) })),
)
const KM_PER_MILE = 1.609344
/** In the unit of a filter by distance, where the owner chose miles; a tenth where it is not far. */
function distance(km: number): string {
  const inMiles = answer.value?.filters.some(filter => filter.around !== null && filter.unit === 'mi') ?? false
  const far = inMiles ? km / KM_PER_MILE : km
  const said = `${new Intl.NumberFormat(document.documentElement.lang || undefined, { maximumFractionDigits: far < 10 ? 1 : 0 }).format(Math.max(far, 0.1))} ${inMiles ? 'mi' : 'km'}`
  return far < 0.1 ? texts.under(said) : said
}

let turned = false
function turn(page: number) {
  turned = true
  show(state, state.query, page)
}
function ask(query: string) {
  turned = true
  show(state, query, 1)
}
watch(
  () => results.value,
  async now => {
    if (now.kind !== 'ready' || !turned) return
    turned = false
    await nextTick()
    heading.value?.focus({ preventScroll: true })
    heading.value?.scrollIntoView({ block: 'nearest' })
  },
)
</script>

<template>
  <p v-if="!search" class="note">{{ texts.needsKey }}</p>
  <div
    v-else
    ref="whole"
    class="results"
    :class="{ 'with-filters': atSide.length > 0 }"
    :aria-busy="results.kind === 'loading'"
  >
    <aside v-if="atSide.length > 0" class="side" part="filters" :aria-label="texts.filters">
      <FilterGroup :filters="atSide" :choice="choice" opened="in-view" :at-once="atOnce" :lit="lit" />
    </aside>
    <div v-if="answer" class="found">
      <h2 ref="heading" class="heading" part="heading" tabindex="-1">
        {{ answer.total === 0 ? texts.nothing(answer.query) : title }}
      </h2>
      <div v-if="answer.total > 0" class="counted">
        <p class="count" part="count">{{ texts.count(answer.total) }}</p>
        <label v-if="answer.orders.length > 0" class="ordered" part="order">
          {{ texts.order }}
          <select class="typed" @change="put(($event.target as HTMLSelectElement).value)">
            <option v-for="order in answer.orders" :key="order.key" :value="order.key" :selected="order.selected">
              {{ order.label }}
            </option>
          </select>
        </label>
      </div>
      <template v-else>
        <p class="note">{{ texts.nothingHint }}</p>
        <p>
          <button type="button" class="again" @click="show(state, '', 1)">{{ texts.everything }}</button>
        </p>
      </template>
      <section v-if="onTop.length > 0 && !together" class="top" part="filters" :aria-label="texts.filters">
        <FilterGroup across :filters="onTop" :choice="choice" opened="in-view" :at-once="atOnce" :lit="lit" />
      </section>
      <div v-if="holding.length > 0 || holds.changed.value || (onTop.length > 0 && together)" class="active">
        <FilterGroup
          v-if="onTop.length > 0 && together"
          across
          :filters="onTop"
          :choice="choice"
          :opened="places?.page.opened ?? 'in-view'"
          :at-once="atOnce"
          :over="isNarrow"
          :lit="lit"
        />
        <button
          v-for="one in holding"
          :key="one.key + one.value"
          type="button"
          class="chip"
          part="chip"
          :aria-label="texts.takeOff(one.label)"
          @click="holds.tick(one.key, one.value)"
        >
          {{ one.label }}
          <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m5 5 8 8m0-8-8 8" /></svg>
        </button>
        <button v-if="holds.changed.value" type="button" class="again" @click="holds.clear">
          {{ texts.clearAll }}
        </button>
      </div>
      <p v-if="answer.didYouMean" class="meant" part="did-you-mean">
        {{ texts.didYouMean }}
        <a :href="addressOf(search, answer.didYouMean, 1)" @click.exact.prevent="ask(answer.didYouMean)">{{
          answer.didYouMean
        }}</a>?
      </p>
      <ol class="cards" :class="answer.arranged">
        <li v-for="{ hit, look } in cards" :key="`${hit.collection}/${hit.id}`">
          <p v-if="standing && hit.standing" class="standing">
            {{ standing(hit, hit.distanceKm === null ? '' : distance(hit.distanceKm)) }}
          </p>
          <article
            class="card"
            :class="[{ plain: !hit.image }, look && ['tiered', look.edge]]"
            :style="look?.styles"
            :part="`card${look?.part ?? ''}`"
          >
            <TierRibbon v-if="look" :tier="look.tier" />
            <img v-if="hit.image" :src="safeAddress(hit.image.url) ?? undefined" alt="" loading="lazy" part="picture" />
            <div>
              <h3 part="title">
                <a v-if="safeAddress(hit.url)" :href="safeAddress(hit.url)!" :target="target">
                  <MarkedRuns :runs="hit.titleRuns" />
                </a>
                <MarkedRuns v-else :runs="hit.titleRuns" />
              </h3>
              <p v-if="hit.excerpt.length > 0" class="excerpt" part="excerpt"><MarkedRuns :runs="hit.excerpt" /></p>
              <p class="kind">
                {{ hit.collectionLabel }}
                <span v-if="look?.tier.disclosure" part="disclosure">· {{ look.tier.disclosure }}</span>
                <span v-if="hit.distanceKm !== null" part="distance">· {{ texts.away(distance(hit.distanceKm)) }}</span>
              </p>
            </div>
          </article>
        </li>
      </ol>
      <nav v-if="pages.length > 0" class="pages" part="pages" :aria-label="texts.pages">
        <template v-for="(page, n) in pages" :key="n">
          <span v-if="page === null" aria-hidden="true">…</span>
          <span v-else-if="page === answer.page" class="here" aria-current="page" :aria-label="texts.page(page)">
            {{ page }}
          </span>
          <a
            v-else
            :href="addressOf(search, state.query, page, undefined, state.filters)"
            :aria-label="texts.page(page)"
            @click.exact.prevent="turn(page)"
          >
            {{ page }}
          </a>
        </template>
      </nav>
      <nav v-if="answer.seeAlso.length > 0" class="see-also" part="see-also" :aria-label="texts.seeAlso">
        <h3 aria-hidden="true">{{ texts.seeAlso }}</h3>
        <a
          v-for="query in answer.seeAlso"
          :key="query"
          :href="addressOf(search, query, 1)"
          @click.exact.prevent="ask(query)"
        >
          {{ query }}
        </a>
      </nav>
    </div>
    <div v-if="results.kind === 'failed'" class="note">
      {{ texts.failed }}
      <button type="button" class="again" @click="tries++">{{ texts.again }}</button>
      <slot v-if="!answer" />
    </div>
    <div class="unseen" role="status">{{ status }}</div>
  </div>
</template>

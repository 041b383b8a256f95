<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, provide, ref, watch } from 'vue'
import type { Hit } from '../shared/contract'
import { useLatest } from '../shared/useLatest'
import { cardOf } from './cards/cardOf'
import ResultCard from './cards/ResultCard.vue'
import ResultPages from './cards/ResultPages.vue'
import FilterGroup from './filters/FilterGroup.vue'
import { MORE_VALUES } from './filters/moreValues'
import SetFilters from './filters/SetFilters.vue'
import { usePageFilters } from './filters/usePageFilters'
import { tierLook } from './look/tierLook'
import { useLook } from './look/useLook'
import { addressOf, lit, show } from './searchState'
import { fetchResults, fetchValues, type Source } from './service'
import { useSearchElement } from './useSearchElement'

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
  standing?: ((hit: Hit) => string) | null
}>()
const { state, say, nothingFor } = useSearchElement(search, source)
const heading = ref<HTMLElement>()
const results = useLatest(
  () => (search ? { query: state.query, page: state.page, filters: state.filters, revision: state.revision } : null),
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
      ? say('newest')
      : say('all')
    : say('resultsFor', { query: answer.value?.query ?? '' }),
)
const status = computed(() =>
  results.value.kind === 'ready' && answer.value
    ? `${title.value}: ${say('count', { count: answer.value.total })}`
    : '',
)

const whole = ref<HTMLElement>()
const worn = useLook(whole, search, source, state)
const { choice, holding, opened, atOnce, isNarrow, areTogether, atSide, onTop, isAnySet } = usePageFilters(
  search,
  source,
  state,
  () => answer.value,
  whole,
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
  (answer.value?.hits ?? []).map(hit => ({
    hit,
    card: cardOf(hit, answer.value?.cards ?? []),
    look: tierLook(hit, answer.value?.tiers ?? []),
  })),
)

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
  <p v-if="!search" class="note">{{ say('needsKey') }}</p>
  <div
    v-else
    ref="whole"
    class="results"
    :class="[worn, { 'with-filters': atSide.length > 0 }]"
    :aria-busy="results.kind === 'loading'"
  >
    <aside v-if="atSide.length > 0" class="side" part="filters" :aria-label="say('filters')">
      <FilterGroup :filters="atSide" :choice="choice" opened="in-view" :at-once="atOnce" :lit="lit" />
    </aside>
    <div v-if="answer" class="found">
      <h2 ref="heading" class="heading" part="heading" tabindex="-1">
        {{ answer.total === 0 ? nothingFor(answer.query) : title }}
      </h2>
      <div v-if="answer.total > 0" class="counted">
        <p class="count" part="count">{{ say('count', { count: answer.total }) }}</p>
        <label v-if="answer.orders.length > 0" class="ordered" part="order">
          {{ say('order') }}
          <select class="typed" @change="put(($event.target as HTMLSelectElement).value)">
            <option v-for="order in answer.orders" :key="order.key" :value="order.key" :selected="order.selected">
              {{ order.label }}
            </option>
          </select>
        </label>
      </div>
      <template v-else>
        <p class="note">{{ say('nothingHint') }}</p>
        <p>
          <button type="button" class="again" @click="show(state, '', 1)">{{ say('everything') }}</button>
        </p>
      </template>
      <section v-if="onTop.length > 0 && !areTogether" class="top" part="filters" :aria-label="say('filters')">
        <FilterGroup across :filters="onTop" :choice="choice" opened="in-view" :at-once="atOnce" :lit="lit" />
      </section>
      <div v-if="isAnySet || (onTop.length > 0 && areTogether)" class="active">
        <FilterGroup
          v-if="onTop.length > 0 && areTogether"
          across
          :filters="onTop"
          :choice="choice"
          :opened="opened"
          :at-once="atOnce"
          :over="isNarrow"
          :lit="lit"
        />
        <SetFilters :choice="holding" />
      </div>
      <p v-if="answer.didYouMean" class="meant" part="did-you-mean">
        {{ say('didYouMean') }}
        <a :href="addressOf(search, answer.didYouMean, 1)" @click.exact.prevent="ask(answer.didYouMean)">{{
          answer.didYouMean
        }}</a>?
      </p>
      <ol class="cards" :class="answer.arranged">
        <li v-for="{ hit, card, look } in cards" :key="`${hit.collection}/${hit.id}`">
          <p v-if="standing && hit.standing" class="standing">
            {{ standing(hit) }}
          </p>
          <ResultCard v-if="card" :hit="hit" :card="card" :look="look" :target="target" />
        </li>
      </ol>
      <ResultPages
        :page="answer.page"
        :pages="answer.pages"
        :address-of="page => addressOf(search, state.query, page, undefined, state.filters)"
        @turn="turn"
      />
      <nav v-if="answer.seeAlso.length > 0" class="see-also" part="see-also" :aria-label="say('seeAlso')">
        <h3 aria-hidden="true">{{ say('seeAlso') }}</h3>
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
      {{ say('failed') }}
      <button type="button" class="again" @click="state.revision++">{{ say('again') }}</button>
      <slot v-if="!answer" />
    </div>
    <div class="unseen" role="status">{{ status }}</div>
  </div>
</template>

<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Hit, PopularValue } from '../shared/contract'
import { safeAddress } from '../shared/http'
import { tell } from './events'
import FilterGroup from './filters/FilterGroup.vue'
import { provideMoreValues } from './filters/moreValues'
import SetFilters from './filters/SetFilters.vue'
import { usePageFilters } from './filters/usePageFilters'
import { BoxAgain } from './list/BoxAgain'
import RelatedResults from './list/RelatedResults.vue'
import ResultList from './list/ResultList.vue'
import ResultPages from './list/ResultPages.vue'
import ResultsHead from './list/ResultsHead.vue'
import { resultsTitle } from './list/resultsTitle'
import { goesOn, useExtras } from './list/useExtras'
import { useGoingOn } from './list/useGoingOn'
import { useResults } from './list/useResults'
import { useLook } from './look/useLook'
import { addressOf, cleared, keepPlace, type Filters } from './address'
import { lit, show } from './searchState'
import type { Source } from './service'
import { useElement } from './element/draw'
import { useSearchElement } from './element/useSearchElement'
import { tellChosen } from './telling'
import { useUntilDrawn } from './element/useUntilDrawn'
import { useStyle } from './look/useStyle'
import css from './list/list.css?inline'

useStyle(css)

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
const { state, say } = useSearchElement(search, source)
const host = useElement()
const { results, answer } = useResults(search, source, state)
const extras = useExtras()
const target = computed(() => (source !== 'live' ? '_blank' : undefined))
const title = computed(() => (answer.value ? resultsTitle(answer.value, say) : ''))
/** Before anything is typed or set there may be nothing to show. */
const isEmpty = computed(() => answer.value?.list.start === 'nothing')
const status = computed(() =>
  results.value.kind === 'ready' && answer.value && !isEmpty.value
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
provideMoreValues(search, source, () => state.query, choice)
useUntilDrawn(() => answer.value !== null || results.value.kind === 'failed')
onMounted(() => {
  state.resultsHere++
})
onBeforeUnmount(() => {
  state.resultsHere--
})

/** Puts the results into an order that visitors may choose; the empty key is the owner's. */
const put = (order: string) => show(state, state.query, 1, { ...state.filters, order: order === '' ? [] : [order] })
const head = ref<InstanceType<typeof ResultsHead>>()
const { turn, ask, more } = useGoingOn(state, results, whole, () => head.value?.focus())
watch(results, now => {
  if (now.kind !== 'ready') return
  state.inAddress = now.value.list.inAddress
  tell(host, 'tidy-results', { search, answer: now.value })
})
watch([() => state.query, () => state.page, () => state.filters], () => {
  const { query, page, filters } = state
  tell(host, 'tidy-query', { search, query, page, filters: { ...filters } })
})
/** One category and nothing else. */
const onlyIn = (value: PopularValue): Filters => ({ ...cleared(state.filters), [value.filter]: [value.value] })
/** A tag below a picture narrows what is there. */
function narrow(tag: string) {
  const filter = answer.value?.list.layout.tags
  if (filter) holding.put({ [filter]: [tag] })
}
/** Somebody follows the link of a result. */
function follow(hit: Hit, event: Event) {
  keepPlace()
  const detail = {
    search,
    collection: hit.collection,
    id: hit.id,
    address: safeAddress(hit.url),
    from: 'list',
  } as const
  if (!tell(host, 'tidy-choose', detail)) event.preventDefault()
  else tellChosen(search, source, hit)
}
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
      <BoxAgain v-if="answer.list.shows.box" :search="search" :source="source" />
      <ResultsHead
        v-if="!isEmpty"
        ref="head"
        :answer="answer"
        :title="title"
        :choice="holding"
        :address="() => addressOf(search, state.query, state.page, undefined, state.filters)"
        @put="put"
        @everything="show(state, '', 1)"
      />
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
        <SetFilters v-if="answer.list.shows.set" :choice="holding" />
      </div>
      <p v-if="answer.didYouMean" class="meant" part="did-you-mean">
        {{ say('didYouMean') }}
        <a :href="addressOf(search, answer.didYouMean, 1)" @click.exact.prevent="ask(answer.didYouMean)">{{
          answer.didYouMean
        }}</a>?
      </p>
      <ResultList
        v-if="!isEmpty"
        :answer="answer"
        :standing="standing"
        :target="target"
        @follow="follow"
        @narrow="narrow"
        @turn="page => show(state, state.query, page, state.filters, 'same')"
      />
      <component
        :is="extras?.MoreResults"
        v-if="goesOn(answer)"
        :scrolls="answer.list.paging === 'scroll'"
        @more="more"
      />
      <ResultPages
        v-if="answer.list.paging === 'numbers'"
        :page="answer.page"
        :pages="answer.pages"
        :address-of="page => addressOf(search, state.query, page, undefined, state.filters)"
        @turn="turn"
      />
      <RelatedResults :answer="answer" :target="target" @follow="follow" />
      <component
        :is="extras?.LeadsOn"
        :answer="answer"
        :address-of-value="(value: PopularValue) => addressOf(search, '', 1, undefined, onlyIn(value))"
        :address-of-query="(query: string) => addressOf(search, query, 1)"
        @narrow="(value: PopularValue) => show(state, '', 1, onlyIn(value))"
        @ask="ask"
      />
    </div>
    <div v-if="results.kind === 'failed'" class="note">
      {{ say('failed') }}
      <button type="button" class="again" @click="state.revision++">{{ say('again') }}</button>
      <slot v-if="!answer" />
    </div>
    <div class="unseen" role="status">{{ status }}</div>
  </div>
</template>

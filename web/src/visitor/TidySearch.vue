<script setup lang="ts">
import { computed, provide, ref, useId } from 'vue'
import BoxAndList from './box/BoxAndList.vue'
import { BOX } from './box/boxContext'
import BoxSign from './box/BoxSign.vue'
import { useArrangement } from './box/useArrangement'
import { useChooser } from './box/useChooser'
import { useChoosing } from './box/useChoosing'
import { useFace } from './box/useFace'
import { useLeading } from './box/useLeading'
import { useListRefresh } from './box/useListRefresh'
import { useOpening } from './box/useOpening'
import { useWaking, type AskedByScript } from './box/useWaking'
import { tell } from './events'
import type { RestingBox } from './box/RestingBox'
import { provideMoreValues } from './filters/moreValues'
import { useBoxFilters } from './filters/useBoxFilters'
import { forget, recentSearches } from './live/recentSearches'
import { useLeaving } from './live/useLeaving'
import { useLiveResults } from './live/useLiveResults'
import { useLook } from './look/useLook'
import { areResultsHere, lit } from './searchState'
import { withTierStyle } from './cards/tierStyle'
import { fetchLive, type Source } from './service'
import { useElement } from './element/draw'
import { useSearchElement } from './element/useSearchElement'
import { useStyle } from './look/useStyle'
import css from './box/box.css?inline'

useStyle(css)

defineOptions({ inheritAttrs: false })
const {
  search = '',
  source = 'live',
  label = '',
  placeholder = '',
  resultsPage = '',
  resting = null,
  asked = null,
} = defineProps<{
  /** The key of the search, from Go live. */
  search?: string
  /** `draft` for the owner's stage; visitors get the live version. */
  source?: Source
  /** What the box is called, in place of the usual text. */
  label?: string
  /** What stands in the empty box. */
  placeholder?: string
  /** Where it leads, in place of the search's results page. */
  resultsPage?: string
  /** The box as it stood there before somebody turned to it. */
  resting?: RestingBox | null
  /** What the page's own script asks. */
  asked?: AskedByScript | null
}>()

/** Before numbers of filters are asked for, where every letter typed changes them. */
const PAUSE_MS = 120
const id = useId()
const host = useElement()
const { state, texts, say } = useSearchElement(search, source)
const text = ref(resting?.field.text ?? state.query)
const query = computed(() => text.value.trim())

const { face, isKnown, list, fewestLetters } = useFace(search, source, state, resultsPage)
const arrangement = useArrangement(face)
const whole = ref<HTMLElement>()
const filters = useBoxFilters(search, source, state, face, () => query.value, PAUSE_MS, whole)
const { choice } = filters
const isBoxAlone = () => {
  const { heading, label: isLabelled, opening } = arrangement.value
  return filters.shown.value.length === 0 && !heading && !isLabelled && opening === 'always'
}
const worn = useLook(whole, search, source, state, isBoxAlone)
provideMoreValues(search, source, () => query.value, choice)

const leading = useLeading(
  search,
  source,
  state,
  face,
  () => query.value,
  () => choice.chosen.value,
  () => tell(host, 'tidy-query', { search, query: query.value, page: 1, filters: { ...choice.chosen.value } }),
)
const live = useLiveResults(
  {
    id,
    text: () => text.value,
    list: () => list.value,
    fewestLetters,
    request: () => (search ? { query: text.value, filters: choice.chosen.value, revision: state.revision } : null),
    fetchFor: async (wanted, signal) =>
      withTierStyle(await fetchLive(search, source, wanted.query, wanted.filters, signal)),
    allAddress: leading.address,
    recent: () => (list.value?.above.recent ? recentSearches(search) : []),
  },
  texts,
)
const endTyping = useListRefresh(
  state,
  text,
  () => list.value?.inList ?? false,
  fewestLetters,
  () => list.value?.asking.pause ?? PAUSE_MS,
)

const opening = useOpening(arrangement, list, live.close)
const { isOpened, isOpenerThere, overPage, isInPage, toggle } = opening
function submit() {
  endTyping()
  opening.shut()
  leading.go()
}
/** What is set beside the box goes along with the words in it. */
const beside = computed(() => (areResultsHere(state) ? choice : { ...choice, apply: submit }))
const target = computed(() => (source !== 'live' || list.value?.opens === 'new-tab' ? '_blank' : undefined))
const choosing = useChoosing({ search, source, host, text, list, live, opening, target, submit })
const { restingField } = useWaking(
  resting,
  () => isKnown.value && !worn.value.includes('dressing'),
  opening,
  choosing,
  submit,
  () => asked,
  now => {
    text.value = now.query
    if (now.filters) choice.put(now.filters)
  },
)
provide(BOX, {
  id,
  arrangement,
  text,
  named: computed(() => label || say('search')),
  placeholder: computed(() => placeholder || (arrangement.value.placeholder ? say('boxPlaceholder') : '')),
  chooser: useChooser(search, source, state, () => face()?.box.chooses ?? false, choice),
  live,
  list,
  target,
  forget: () => forget(search),
  restingField,
  ...choosing,
})
const left = useLeaving(() => {
  live.close()
  endTyping()
  if (!opening.isOver()) isOpened.value = false
})
</script>

<template>
  <p v-if="!search" class="note">{{ say('needsKey') }}</p>
  <form
    v-else
    ref="whole"
    role="search"
    :class="[worn, `opens-${arrangement.opening}`, { dressing: !isKnown }]"
    :action="face()?.resultsPage"
    method="get"
    @submit.prevent="submit"
    @focusout="left"
  >
    <button
      v-if="isOpenerThere"
      ref="opener"
      type="button"
      class="opener"
      part="opener"
      :aria-label="say('openSearch')"
      :aria-haspopup="arrangement.opening === 'over' ? 'dialog' : undefined"
      :aria-expanded="arrangement.opening === 'over' ? undefined : isOpened"
      @click="toggle"
    >
      <BoxSign :path="arrangement.sign" :size="arrangement.signSize" />
    </button>
    <BoxAndList v-if="isInPage && isKnown" ref="here" :with-list="list?.where !== 'over'" />
    <component :is="overPage" v-if="overPage" ref="over-page" @closed="isOpened = false" />
    <div v-if="filters.group.value" class="beside" part="filters">
      <component
        :is="filters.group.value"
        across
        :filters="filters.shown.value"
        :choice="beside"
        :opened="filters.opened.value"
        :at-once="filters.atOnce.value || !areResultsHere(state)"
        :over="filters.isNarrow.value && filters.opened.value === 'over'"
        :lit="lit"
      />
    </div>
    <div class="unseen" role="status">{{ live.status.value }}</div>
  </form>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { useLatest } from '../shared/useLatest'
import FilterGroup from './filters/FilterGroup.vue'
import { provideMoreValues } from './filters/moreValues'
import { ledTo } from './ledTo'
import { useLook } from './look/useLook'
import { addressOf } from './address'
import { areResultsHere, lit } from './searchState'
import { fetchFace, type Source } from './service'
import { useSearchElement } from './element/useSearchElement'
import { useFilterChoice } from './filters/useFilterChoice'
import { useUntilDrawn } from './element/useUntilDrawn'
import { useRoom } from './useRoom'

defineOptions({ inheritAttrs: false })
const {
  search = '',
  source = 'live',
  resultsPage = '',
} = defineProps<{
  /** The key of the search, from Go live. */
  search?: string
  /** `draft` for the owner's stage; visitors get the live version. */
  source?: Source
  /** Where they lead, in place of the search's results page. */
  resultsPage?: string
}>()
const { state, say } = useSearchElement(search, source)
const whole = ref<HTMLElement>()
const worn = useLook(whole, search, source, state)
const isNarrow = useRoom(whole)
const face = useLatest(
  () => (search ? { search, source, revision: state.revision } : null),
  async wanted => ledTo(resultsPage, await fetchFace(wanted.search, wanted.source, wanted.revision)),
)
const place = computed(() => face.value.value?.filterPlaces.home ?? null)
/** Without results on the page there is nothing that a choice could hold for at once. */
const isHere = computed(() => areResultsHere(state) || !face.value.value)
const atOnce = computed(() => isHere.value && (place.value?.atOnce ?? true))
useUntilDrawn(() => face.value.value !== null)
const choice = useFilterChoice(
  search,
  source,
  state,
  () => state.query,
  null,
  () => atOnce.value,
)
const filters = computed(() =>
  place.value?.shown
    ? choice.filters.value.filter(
        filter => filter.offers && filter.shown.home && filter.devices !== (isNarrow.value ? 'wide' : 'narrow'),
      )
    : [],
)
provideMoreValues(search, source, () => state.query, choice)
const resultsAddress = computed(() =>
  face.value.value ? addressOf(search, state.query, 1, face.value.value.resultsPage, choice.chosen.value) : '',
)
/** Where no results are, what is chosen goes along to their page, and this one's address stays as it is. */
const leading = computed(() =>
  isHere.value ? choice : { ...choice, apply: () => location.assign(resultsAddress.value) },
)
</script>

<template>
  <p v-if="!search" class="note">{{ say('needsKey') }}</p>
  <form
    v-else
    ref="whole"
    class="alone"
    :class="worn"
    part="filters"
    role="search"
    :aria-label="say('filters')"
    @submit.prevent
  >
    <FilterGroup
      v-if="filters.length > 0 && place"
      across
      :filters="filters"
      :choice="leading"
      :opened="place.opened"
      :at-once="atOnce"
      :lit="lit"
    />
  </form>
</template>

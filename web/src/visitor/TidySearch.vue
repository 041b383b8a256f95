<script setup lang="ts">
import { computed, provide, ref, useId, watch } from 'vue'
import { useLatest } from '../shared/useLatest'
import FilterGroup from './filters/FilterGroup.vue'
import { MORE_VALUES } from './filters/moreValues'
import { useBoxFilters } from './filters/useBoxFilters'
import LivePanel from './live/LivePanel.vue'
import type { LiveRow } from './live/liveRows'
import { useLeaving } from './live/useLeaving'
import { useListKeys } from './live/useListKeys'
import { useLiveResults } from './live/useLiveResults'
import { useLook } from './look/useLook'
import { addressOf, lit, show } from './searchState'
import { fetchFace, fetchLive, fetchValues, type Source } from './service'
import { useSearchElement } from './useSearchElement'

defineOptions({ inheritAttrs: false })
const {
  search = '',
  source = 'live',
  label = '',
  placeholder = '',
} = defineProps<{
  /** The key of the search, from Go live. */
  search?: string
  /** `draft` for the owner's stage; visitors get the live version. */
  source?: Source
  /** What the box is called, in place of the usual text. */
  label?: string
  /** What stands in the empty box. */
  placeholder?: string
}>()

/** Before anything is asked for, where every letter typed changes it. */
const PAUSE_MS = 120
const USUAL_FEWEST_LETTERS = 2
const id = useId()
const { state, texts, say } = useSearchElement(search, source)
const named = computed(() => label || say('search'))
const input = ref<HTMLInputElement>()
const text = ref(state.query)
const query = computed(() => text.value.trim())

watch(
  () => state.query,
  now => {
    text.value = now
  },
)

const face = useLatest(
  () => (search ? { search, source, revision: state.revision } : null),
  (wanted, signal) => fetchFace(wanted.search, wanted.source, signal),
)
const whole = ref<HTMLElement>()
const filters = useBoxFilters(
  search,
  source,
  state,
  () => face.value.value,
  () => query.value,
  PAUSE_MS,
  whole,
)
const choice = filters.choice
const worn = useLook(whole, search, source, state, () => filters.shown.value.length === 0)
provide(MORE_VALUES, {
  state: () => choice.filters.value,
  load: (filter, wanted) => fetchValues(search, source, query.value, choice.chosen.value, filter, wanted),
})

const resultsPage = computed(() => face.value.value?.resultsPage ?? null)
/** Where results are shown, unless they are here. */
const elsewhere = computed(() => (state.resultsHere > 0 ? null : resultsPage.value))
const { live, rows, active, activeRow, isShown, status, open, close } = useLiveResults(
  id,
  () => text.value,
  () => face.value.value?.fewestLetters ?? USUAL_FEWEST_LETTERS,
  () => (search ? { query: text.value, filters: choice.chosen.value, revision: state.revision } : null),
  (wanted, signal) => fetchLive(search, source, wanted.query, wanted.filters, signal),
  PAUSE_MS,
  () => addressOf(search, query.value, 1, elsewhere.value ?? undefined, choice.chosen.value),
  texts,
)
const target = computed(() => (source === 'draft' ? '_blank' : undefined))

function clear() {
  text.value = ''
  close()
  input.value?.focus()
}
function submit() {
  close()
  if (elsewhere.value === null) show(state, query.value, 1, choice.chosen.value)
  else location.assign(addressOf(search, query.value, 1, elsewhere.value, choice.chosen.value))
}
/** What is set beside the box goes along with the words in it. */
const leading = computed(() => (state.resultsHere > 0 ? choice : { ...choice, apply: submit }))
/** Puts a query into the box; its live results follow. */
function goOn(words: string) {
  text.value = words
  open(false)
  input.value?.focus()
}
function choose(row: LiveRow) {
  if (row.query !== null) goOn(row.query)
  else if (row.hit === null) submit()
  else if (row.address !== null) {
    close()
    if (target.value) window.open(row.address, target.value)
    else location.assign(row.address)
  }
}
const key = useListKeys({
  isShown: () => isShown.value,
  open: () => open(true),
  close,
  size: () => rows.value.length,
  active,
  choose: () => activeRow.value && choose(activeRow.value),
  clear: () => {
    text.value = ''
  },
})
const left = useLeaving(close)
</script>

<template>
  <p v-if="!search" class="note">{{ say('needsKey') }}</p>
  <form
    v-else
    ref="whole"
    role="search"
    :class="worn"
    :action="resultsPage ?? undefined"
    method="get"
    @submit.prevent="submit"
    @focusout="left"
  >
    <div class="asked">
      <div class="box" part="box">
        <input
          ref="input"
          v-model="text"
          part="input"
          type="search"
          name="q"
          role="combobox"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          enterkeyhint="search"
          :aria-label="named"
          :placeholder="placeholder"
          aria-autocomplete="list"
          aria-haspopup="listbox"
          :aria-expanded="isShown"
          :aria-controls="isShown ? `${id}-list` : undefined"
          :aria-activedescendant="activeRow?.id"
          @input="open(false)"
          @keydown="key"
        />
        <button v-if="text" type="button" class="clear" part="clear" :aria-label="say('clear')" @click="clear">
          <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m4.5 4.5 9 9m0-9-9 9" /></svg>
        </button>
        <button type="submit" class="submit" part="submit" :aria-label="say('search')">
          <svg viewBox="0 0 18 18" aria-hidden="true">
            <circle cx="7.8" cy="7.8" r="5.2" />
            <path d="m11.8 11.8 4 4" />
          </svg>
        </button>
      </div>
      <LivePanel
        v-if="isShown"
        :id="id"
        :label="named"
        :live="live"
        :rows="rows"
        :active="active"
        :target="target"
        @go-on="goOn"
        @leave="close"
        @all="submit"
      />
    </div>
    <div v-if="filters.shown.value.length > 0" class="beside" part="filters">
      <FilterGroup
        across
        :filters="filters.shown.value"
        :choice="leading"
        :opened="filters.opened.value"
        :at-once="filters.atOnce.value || state.resultsHere === 0"
        :over="filters.isNarrow.value && filters.opened.value === 'over'"
        :lit="lit"
      />
    </div>
    <div class="unseen" role="status">{{ status }}</div>
  </form>
</template>

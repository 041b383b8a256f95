<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, provide, ref, useHost, useId, watch } from 'vue'
import type { Hit, LiveGroup } from '../shared/contract'
import { safeAddress } from '../shared/http'
import { useLatest } from '../shared/useLatest'
import FilterGroup from './FilterGroup.vue'
import { MarkedRuns } from './MarkedRuns'
import { MORE_VALUES } from './moreValues'
import { addressOf, lit, sharedSearch, show } from './searchState'
import { fetchFace, fetchLive, fetchValues, type Source } from './service'
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
  label = texts.search,
  placeholder = '',
} = defineProps<{
  /** The key of the search, from Go live. */
  search?: string
  /** `draft` for the owner's stage; visitors get the live version. */
  source?: Source
  /** What the box is called, for those who do not see it. */
  label?: string
  /** What stands in the empty box. */
  placeholder?: string
}>()
useTheme()

const host = useHost()
const id = useId()
const state = sharedSearch(search)
const input = ref<HTMLInputElement>()
const panel = ref<HTMLElement>()
const text = ref(state.query)
const open = ref(false)
const active = ref(-1)
const fromEnd = ref(false)
/** Set by the Down key: the list then shows even below the fewest letters. */
const asked = ref(false)

watch(
  () => state.query,
  query => {
    text.value = query
  },
)

const face = useLatest(
  () => (search ? { search, source, revision: state.revision } : null),
  (wanted, signal) => fetchFace(wanted.search, wanted.source, signal),
)
const place = computed(() => face.value.value?.filterPlaces.box ?? null)
const hasFilters = computed(() => face.value.value?.filtersInBox ?? false)
/** Without results on the page there is nothing that a choice could hold for at once: it goes with the words. */
const atOnce = computed(() => state.resultsHere > 0 && (place.value?.atOnce ?? true))
const choice = useFilterChoice(
  search,
  source,
  state,
  () => text.value.trim(),
  null,
  () => atOnce.value,
  () => hasFilters.value,
  120,
)
const whole = ref<HTMLElement>()
const isNarrow = useRoom(whole)
const filters = computed(() =>
  hasFilters.value
    ? choice.filters.value.filter(
        filter => filter.offers && filter.shown.box && filter.devices !== (isNarrow.value ? 'wide' : 'narrow'),
      )
    : [],
)
provide(MORE_VALUES, {
  state: () => choice.filters.value,
  load: (filter, wanted) => fetchValues(search, source, text.value.trim(), choice.chosen.value, filter, wanted),
})
const letters = computed(() => [...text.value].filter(letter => /[\p{L}\p{N}]/u.test(letter)).length)
const enough = computed(() => letters.value >= (face.value.value?.fewestLetters ?? 2))
const live = useLatest(
  () =>
    search && open.value && (enough.value || asked.value)
      ? { query: text.value, filters: choice.chosen.value, revision: state.revision }
      : null,
  (wanted, signal) => fetchLive(search, source, wanted.query, wanted.filters, signal),
  () => (asked.value ? 0 : 120),
)

const groups = computed(() => live.value.value?.groups ?? [])
const total = computed(() => live.value.value?.total ?? 0)
/** What can be chosen: a query to go on with, a hit, or the results page. */
interface Row {
  id: string
  query: string | null
  hit: Hit | null
  address: string | null
}
/** Queries to go on with: the word at hand completed or, where nothing is found, another way to write it. */
const queries = computed(() => {
  const answer = live.value.value
  return answer?.didYouMean ? [answer.didYouMean] : (answer?.completions ?? [])
})
const rows = computed<Row[]>(() => {
  const asked = queries.value.map((query, n) => ({ id: `${id}-query-${n}`, query, hit: null, address: null }))
  const found = groups.value
    .flatMap(group => group.hits)
    .map((hit, n) => ({ id: `${id}-row-${n}`, query: null, hit, address: safeAddress(hit.url) }))
  return total.value > 0
    ? [...asked, ...found, { id: `${id}-all`, query: null, hit: null, address: allAddress.value }]
    : asked
})
const shown = computed(
  () =>
    open.value &&
    (enough.value || asked.value) &&
    live.value.kind !== 'idle' &&
    (live.value.value !== null || live.value.kind === 'failed'),
)
const activeRow = computed(() => (shown.value ? rows.value[active.value] : undefined))
const drawn = (group: LiveGroup) => group.hits.map(hit => ({ hit, look: tierLook(hit, live.value.value?.tiers ?? []) }))
const rowOf = (hit: Hit) => rows.value.findIndex(row => row.hit === hit)
const resultsPage = computed(() => face.value.value?.resultsPage ?? null)
const allAddress = computed(() =>
  addressOf(
    search,
    text.value.trim(),
    1,
    state.resultsHere > 0 || !resultsPage.value ? undefined : resultsPage.value,
    choice.chosen.value,
  ),
)
const target = computed(() => (source === 'draft' ? '_blank' : undefined))

const status = computed(() => {
  if (!shown.value) return ''
  if (live.value.kind === 'failed') return texts.failed
  if (live.value.kind === 'loading') return texts.searching
  return total.value === 0 ? texts.nothing(live.value.value?.query ?? '') : texts.count(total.value)
})

watch([text, () => live.value.value], () => {
  active.value = -1
})
watch(shown, async now => {
  if (!now) return
  await nextTick()
  const box = host?.getBoundingClientRect()
  const width = panel.value?.offsetWidth ?? 0
  fromEnd.value =
    box !== undefined && box.left + width > document.documentElement.clientWidth - 8 && box.right - width >= 0
})
watch(activeRow, async row => {
  await nextTick()
  if (row) panel.value?.querySelector(`#${CSS.escape(row.id)}`)?.scrollIntoView({ block: 'nearest' })
})

function close() {
  open.value = false
  asked.value = false
  active.value = -1
}
function typed() {
  open.value = true
  asked.value = false
}
function clear() {
  text.value = ''
  close()
  input.value?.focus()
}
function submit() {
  const query = text.value.trim()
  close()
  if (state.resultsHere > 0 || !resultsPage.value) show(state, query, 1, choice.chosen.value)
  else location.assign(addressOf(search, query, 1, resultsPage.value, choice.chosen.value))
}
/** What is set beside the box goes along with the words in it. */
const leading = computed(() => (state.resultsHere > 0 ? choice : { ...choice, apply: submit }))
/** Puts a query into the box; its live results follow. */
function goOn(query: string) {
  text.value = query
  typed()
  input.value?.focus()
}
function choose(row: Row) {
  if (row.query !== null) goOn(row.query)
  else if (row.hit === null) submit()
  else if (row.address !== null) {
    close()
    if (target.value) window.open(row.address, target.value)
    else location.assign(row.address)
  }
}
/** The keys of the combobox pattern; the caret keeps Left, Right, Home and End. */
function key(event: KeyboardEvent) {
  if (event.isComposing) return // the key belongs to the input method
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault()
    const down = event.key === 'ArrowDown'
    if (event.altKey) {
      if (down) openList()
      else close()
    } else if (!shown.value) {
      openList()
      if (rows.value.length > 0) active.value = down ? 0 : rows.value.length - 1
    } else {
      // Past either end lies the typed text, at -1.
      const places = rows.value.length + 1
      active.value = ((active.value + 1 + (down ? 1 : -1) + places) % places) - 1
    }
  } else if (event.key === 'Enter') {
    if (activeRow.value) {
      event.preventDefault()
      choose(activeRow.value)
    }
  } else if (event.key === 'Escape') {
    event.preventDefault() // browsers would clear the text of a search field
    if (shown.value) close()
    else text.value = ''
  } else if (event.key === 'Tab') {
    close()
  }
}
function openList() {
  open.value = true
  asked.value = true
}
/**
 * Closes once the focus has settled elsewhere: scripts and assistive technology may take it away and give it back at
 * once.
 */
async function left(event: FocusEvent) {
  const form = event.currentTarget as HTMLElement
  await nextTick()
  if (!form.matches(':focus-within')) close()
}
function pressedElsewhere(event: Event) {
  if (host && !event.composedPath().includes(host)) close()
}
onMounted(() => document.addEventListener('pointerdown', pressedElsewhere))
onBeforeUnmount(() => document.removeEventListener('pointerdown', pressedElsewhere))
</script>

<template>
  <p v-if="!search" class="note">{{ texts.needsKey }}</p>
  <form
    v-else
    ref="whole"
    role="search"
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
          :aria-label="label"
          :placeholder="placeholder"
          aria-autocomplete="list"
          aria-haspopup="listbox"
          :aria-expanded="shown"
          :aria-controls="shown ? `${id}-list` : undefined"
          :aria-activedescendant="activeRow?.id"
          @input="typed"
          @keydown="key"
        />
        <button v-if="text" type="button" class="clear" part="clear" :aria-label="texts.clear" @click="clear">
          <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m4.5 4.5 9 9m0-9-9 9" /></svg>
        </button>
        <button type="submit" class="submit" part="submit" :aria-label="texts.search">
          <svg viewBox="0 0 18 18" aria-hidden="true">
            <circle cx="7.8" cy="7.8" r="5.2" />
            <path d="m11.8 11.8 4 4" />
          </svg>
        </button>
      </div>
      <div v-if="shown" ref="panel" class="panel" :class="{ 'from-end': fromEnd }" part="panel" @pointerdown.prevent>
        <p v-if="live.kind === 'failed'">{{ texts.failed }}</p>
        <template v-else-if="total === 0">
          <p class="strong">{{ texts.nothing(live.value?.query ?? '') }}</p>
          <p v-if="queries.length === 0">{{ texts.nothingHint }}</p>
        </template>
        <div :id="`${id}-list`" class="list" role="listbox" :aria-label="label" :aria-busy="live.kind === 'loading'">
          <div
            v-if="queries.length > 0"
            role="group"
            class="queries"
            part="group"
            :aria-label="total > 0 ? texts.goOn : texts.didYouMean"
          >
            <span v-if="total === 0" aria-hidden="true">{{ texts.didYouMean }}</span>
            <span
              v-for="(query, n) in queries"
              :id="`${id}-query-${n}`"
              :key="query"
              role="option"
              class="query"
              :class="{ active: active === n }"
              :part="active === n ? 'query query-active' : 'query'"
              :aria-selected="active === n"
              @click="goOn(query)"
            >
              {{ query }}
            </span>
          </div>
          <div
            v-for="group in groups"
            :key="group.collection"
            role="group"
            :aria-labelledby="`${id}-${group.collection}`"
            part="group"
          >
            <div :id="`${id}-${group.collection}`" class="group-label" role="presentation">
              {{ group.label }}
              <span aria-hidden="true">{{ group.total }}</span>
            </div>
            <a
              v-for="{ hit, look } in drawn(group)"
              :id="rows[rowOf(hit)]?.id"
              :key="hit.id"
              role="option"
              tabindex="-1"
              class="row"
              :class="[{ active: rows[active]?.hit === hit, plain: !hit.image }, look && ['tiered', look.edge]]"
              :style="look?.styles"
              :part="(rows[active]?.hit === hit ? 'row row-active' : 'row') + (look?.part ?? '')"
              :href="rows[rowOf(hit)]?.address ?? undefined"
              :target="target"
              :aria-selected="rows[active]?.hit === hit"
              @click="close"
            >
              <img
                v-if="hit.image"
                :src="safeAddress(hit.image.url) ?? undefined"
                alt=""
                loading="lazy"
                part="picture"
              />
              <span>
                <span class="line">
                  <span class="name" part="title"><MarkedRuns :runs="hit.titleRuns" /></span>
                  <TierRibbon v-if="look" :tier="look.tier" />
                </span>
                <span class="about">
                  <template v-if="look?.tier.disclosure">{{ `${look.tier.disclosure} · ` }}</template>
                  <MarkedRuns :runs="hit.excerpt" />
                </span>
              </span>
            </a>
          </div>
          <a
            v-if="total > 0"
            :id="`${id}-all`"
            role="option"
            tabindex="-1"
            class="all"
            :class="{ active: active === rows.length - 1 }"
            :aria-selected="active === rows.length - 1"
            :href="allAddress"
            @click.prevent="submit"
          >
            {{ texts.seeAll(total) }}
            <span class="keys" aria-hidden="true">{{ texts.listKeys }}</span>
          </a>
        </div>
      </div>
    </div>
    <div v-if="filters.length > 0 && place" class="beside" part="filters">
      <FilterGroup
        across
        :filters="filters"
        :choice="leading"
        :opened="place.opened"
        :at-once="atOnce || state.resultsHere === 0"
        :over="isNarrow && place.opened === 'over'"
        :lit="lit"
      />
    </div>
    <div class="unseen" role="status">{{ status }}</div>
  </form>
</template>

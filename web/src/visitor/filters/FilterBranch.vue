<script setup lang="ts">
import { computed, inject, ref, watch } from 'vue'
import type { FilterShape, FilterValue } from '../../shared/contract'
import { MORE_VALUES, type ValuesPage, type WantedValues } from './moreValues'
import { useTexts } from '../texts'
import { useStyle } from '../look/useStyle'
import css from './values.css?inline'

useStyle(css)

const { say, written } = useTexts()
/** The values on one level of a filter, each with what lies below it. */
const {
  filter,
  values = null,
  below = null,
  further = false,
} = defineProps<{
  filter: FilterShape
  /** Those on this level; on the top level the filter has them. */
  values?: readonly FilterValue[] | null
  /** The value that these lie below; null on the top level. */
  below?: FilterValue | null
  /** Whether the service has more of them than these. */
  further?: boolean
}>()
const emit = defineEmits<{ tick: [value: string]; further: [] }>()
const more = inject(MORE_VALUES)!
const level = computed(() => values ?? filter.values)
const opened = ref(new Set<string>())
/** Branches of a large tree come when they are opened. */
const fetched = ref<Record<string, ValuesPage & { readonly pages: number }>>({})
const namedPage = ref<ValuesPage | null>(null)
const named = computed(() => namedPage.value?.values ?? null)
const wanted = ref('')
const failed = ref(false)
/** What lies below a value, as far as it came with the results. */
const came = (value: FilterValue) => value.children ?? []
/** Where something below is ticked it must be in sight. */
const holds = (value: FilterValue): boolean => came(value).some(child => child.selected || holds(child))
function childrenOf(value: FilterValue): readonly FilterValue[] {
  const asked = fetched.value[value.value]?.values ?? []
  return asked.length > came(value).length ? asked : came(value)
}
/**
 * Of a branch this large that came with the results there may be more; of a smaller one what is missing is hidden by
 * the owner.
 */
const LARGE_BRANCH = 100
const goesOn = (value: FilterValue) =>
  fetched.value[value.value]?.goesOn ?? (came(value).length >= LARGE_BRANCH && came(value).length < value.below!)
const isOpen = (value: FilterValue) => opened.value.has(value.value) || holds(value)
/** Whether anything on this level has something below it; the numbers then stand one below the other all the same. */
const branches = computed(() => level.value.some(value => value.below))
const all = ref(false)
/** What lies below does not make a list long to the eye. */
const isLong = computed(
  () => !below && filter.control === 'list' && (level.value.length >= filter.searchFrom || filter.further > 0),
)
/** The first few, under each heading where there are some. */
const isFirst = (value: FilterValue, n: number) =>
  n - level.value.findIndex(other => other.heading === value.heading) < filter.cutAfter
const shown = computed(
  () =>
    named.value ??
    (all.value ? level.value : level.value.filter((value, n) => isFirst(value, n) || value.selected || holds(value))),
)
const begins = (n: number) => filter.headings && !below && shown.value[n]!.heading !== shown.value[n - 1]?.heading
const shortened = computed(() => level.value.filter(isFirst).length)
const hidden = computed(() => (named.value ? 0 : level.value.length - shown.value.length))

async function load(what: WantedValues, then: (page: ValuesPage) => void) {
  try {
    then(await more.load(filter.key, what))
    failed.value = false
  } catch {
    failed.value = true
  }
}
const fetch = (value: string) =>
  load({ below: value, page: '1' }, page => {
    fetched.value = { ...fetched.value, [value]: { ...page, pages: 1 } }
  })
function fetchMore(value: FilterValue) {
  const before = childrenOf(value)
  const pages = (fetched.value[value.value]?.pages ?? (came(value).length > 0 ? 1 : 0)) + 1
  void load({ below: value.value, page: String(pages) }, page => {
    const there = new Set(before.map(one => one.value))
    fetched.value = {
      ...fetched.value,
      [value.value]: {
        values: [...before, ...page.values.filter(one => !there.has(one.value))],
        goesOn: page.goesOn,
        pages,
      },
    }
  })
}
function turn(value: FilterValue) {
  const now = new Set(opened.value)
  if (!now.delete(value.value)) {
    now.add(value.value)
    if (childrenOf(value).length === 0) void fetch(value.value)
  }
  opened.value = now
}
/** What is not asked for any more must not come late. */
let asked = 0
function look(typed = wanted.value) {
  wanted.value = typed
  const letters = typed.trim()
  const mine = ++asked
  if (letters === '') namedPage.value = null
  else
    void load({ named: letters }, page => {
      if (mine === asked) namedPage.value = page
    })
}
watch(more.state, () => {
  for (const value of Object.keys(fetched.value)) {
    if (opened.value.has(value)) void fetch(value)
    else delete fetched.value[value]
  }
  if (named.value) look()
})
</script>

<template>
  <input
    v-if="isLong"
    :value="wanted"
    type="search"
    class="typed find"
    :aria-label="say('findIn', { label: filter.label })"
    :placeholder="say('find')"
    autocomplete="off"
    @input="look(($event.target as HTMLInputElement).value)"
    @keydown.enter.prevent
  />
  <ul class="values">
    <li v-for="(value, n) in shown" :key="value.value">
      <strong v-if="begins(n)" class="heading-of">{{ value.heading }}</strong>
      <div class="value" :class="{ none: value.count === 0 && !value.selected }">
        <label>
          <input
            type="checkbox"
            :checked="value.selected"
            :disabled="value.count === 0 && !value.selected"
            @change="emit('tick', value.value)"
          />
          <span>{{ value.label }}</span>
        </label>
        <span v-if="filter.counts" class="number">{{ written(value.count) }}</span>
        <button
          v-if="value.below"
          type="button"
          class="turn"
          :aria-expanded="isOpen(value)"
          :aria-label="say('below', { label: value.label })"
          :disabled="holds(value)"
          @click="turn(value)"
        >
          <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m6 3.5 5.5 5.5L6 14.5" /></svg>
        </button>
        <span v-else-if="branches" class="turn" />
      </div>
      <FilterBranch
        v-if="isOpen(value) && childrenOf(value).length > 0"
        :filter="filter"
        :values="childrenOf(value)"
        :below="value"
        :further="goesOn(value)"
        @tick="emit('tick', $event)"
        @further="fetchMore(value)"
      />
    </li>
  </ul>
  <p v-if="named && named.length === 0" class="help">{{ say('noSuchValue') }}</p>
  <p v-if="named && namedPage?.goesOn" class="help">{{ say('firstNamed', { count: named.length }) }}</p>
  <p v-else-if="!below && filter.further > 0 && !named && hidden === 0" class="help">
    {{ say('further', { count: filter.further }) }}
  </p>
  <p v-if="failed" class="help" role="status">{{ say('failed') }}</p>
  <button v-if="hidden > 0" type="button" class="more" @click="all = true">{{ say('more', { count: hidden }) }}</button>
  <button v-else-if="below && further" type="button" class="more" @click="emit('further')">
    {{ say('moreBelow', { label: below.label }) }}
  </button>
  <button v-else-if="all && !named && level.length > shortened" type="button" class="more" @click="all = false">
    {{ say('fewer') }}
  </button>
</template>

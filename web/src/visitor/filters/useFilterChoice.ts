import { computed, ref, watch, type ComputedRef } from 'vue'
import type { FilterShape, Results } from '../../shared/contract'
import { useLatest } from '../../shared/useLatest'
import { isAtStart, parameterFor, valuesIn } from './filterState'
import type { Filters } from '../address'
import { show, type SearchState } from '../searchState'
import { fetchResults, type Source } from '../service'
import { loadControls } from './controls'

/** What visitors set in the filters of one place, as they see it before and after it holds. */
export interface FilterChoice {
  /** All filters of the search, with numbers for what is chosen so far. */
  filters: ComputedRef<readonly FilterShape[]>
  /** How many results what is chosen so far gives; null while nobody knows. */
  total: ComputedRef<number | null>
  /** What is chosen so far, as the address has it. */
  chosen: ComputedRef<Filters>
  /** Whether anything is set that is not so at the start. */
  changed: ComputedRef<boolean>
  tick: (key: string, value: string) => void
  /** Replaces what is set, by keys. */
  put: (changes: Filters) => void
  clear: () => void
  /** Makes what is chosen hold. */
  apply: () => void
}

/**
 * @param answered what the results here answered, null before they do; no such thing where none are, and the numbers
 *   are asked for apart
 * @param atOnce whether a choice holds as it is made
 * @param wanted whether any filter is drawn in this place at all
 * @param pauseMs before numbers are asked for, where every letter typed changes them
 */
export function useFilterChoice(
  search: string,
  source: Source,
  state: SearchState,
  query: () => string,
  answered: (() => Results | null) | null,
  atOnce: () => boolean,
  wanted: () => boolean = () => true,
  pauseMs = 0,
): FilterChoice {
  const pending = ref<Filters | null>(null)
  const chosen = computed(() => (atOnce() ? state.filters : (pending.value ?? state.filters)))
  const asksApart = () => search !== '' && wanted() && (answered === null || (!atOnce() && pending.value !== null))
  const apart = useLatest(
    // Every page has the numbers; the one that a list here shows is asked for anyway.
    () => (asksApart() ? { query: query(), page: state.page, filters: chosen.value, revision: state.revision } : null),
    async (asked, signal) => {
      const results = await fetchResults(search, source, asked, asked.revision, signal)
      await loadControls(results.filters)
      return results
    },
    () => pauseMs,
  )
  const answer = computed(() => (asksApart() ? (apart.value.value ?? answered?.() ?? null) : (answered?.() ?? null)))
  // What holds by now, by Back or by a chip taken off, is not undone by what was begun before.
  watch(
    () => state.filters,
    () => {
      pending.value = null
    },
  )
  const filters = computed(() => answer.value?.filters ?? [])
  const put = (changes: Filters) => {
    const next: Filters = { ...chosen.value }
    for (const [key, values] of Object.entries(changes)) {
      const filter = filters.value.find(one => one.key === key)
      next[key] = filter ? parameterFor(filter, values) : values
    }
    // A shared address may say how far by the contract's own name; from here on the filter says it.
    const far = filters.value.find(filter => filter.around)
    if (next.within?.length && far && !(far.key in changes)) next[far.key] = valuesIn(far)
    next.within = []
    if (atOnce()) show(state, state.query, 1, next)
    else pending.value = next
  }
  return {
    filters,
    chosen,
    put,
    total: computed(() => answer.value?.total ?? null),
    changed: computed(() => filters.value.some(filter => !isAtStart(filter))),
    tick(key, value) {
      const filter = filters.value.find(one => one.key === key)
      if (!filter) return
      const before = valuesIn(filter)
      put({ [key]: before.includes(value) ? before.filter(one => one !== value) : [...before, value] })
    },
    clear: () => put(Object.fromEntries(filters.value.map(filter => [filter.key, filter.start]))),
    apply() {
      if (pending.value) show(state, state.query, 1, pending.value)
      pending.value = null
    },
  }
}

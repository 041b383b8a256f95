import { reactive, ref } from 'vue'
import {
  addressOf,
  entryNow,
  keepPlace,
  KEPT,
  keptIn,
  noteSearch,
  PLACE,
  showingNow,
  VIEWED,
  type Filters,
  type Showing,
} from './address'
import { SHOWN } from './element/whenNear'

/** What one search on a page is at: shared by its box and its results, which find each other by the search's key. */
export interface SearchState {
  readonly key: string
  /** What was asked for last; what the results show. */
  query: string
  page: number
  /**
   * What is set by the filters' keys, and where distances are measured from. An empty list takes a parameter away,
   * which is the filter's start; a list of nothing but an empty value says that nothing is set although the start is
   * something else.
   */
  filters: Filters
  /** How many results elements are on the page; without one, the box leads to the results page. */
  resultsHere: number
  /** Whether the address tells what is shown; where not, the browser's history alone does. */
  inAddress: boolean
  /** Of the page, where the elements stand; empty where it names none, null until an element has looked. */
  language: string | null
  /** Raised to ask everything anew, as the stage does when the draft changed. */
  revision: number
}

/** The stage sends this to its window when the draft changed. */
export const REFRESH = 'tidy-lantern-refresh'

/** The stage sends this to its window, with a filter's key or null, when the owner points at a filter. */
export const LIGHT = 'tidy-lantern-light'
/** The filter that the owner points at; visitors never see one lit. */
export const lit = ref<string | null>(null)

const states = new Map<string, SearchState>()

/**
 * Whether results of a search are shown on this page: by an element that is ready, or by one whose script is still on
 * its way.
 */
export function areResultsHere(state: SearchState): boolean {
  const key = CSS.escape(state.key)
  return state.resultsHere > 0 || document.querySelector(`:is(tidy-results, tidy-list)[search="${key}"]`) !== null
}

/** The state of the search with this key; the same object for all its elements. */
export function sharedSearch(key: string): SearchState {
  const known = states.get(key)
  if (known) return known
  const state: SearchState = reactive({
    key,
    query: '',
    page: 1,
    filters: {},
    resultsHere: 0,
    inAddress: true,
    language: null,
    revision: 0,
  })
  states.set(key, state)
  noteSearch(key)
  Object.assign(state, showingNow(key))
  return state
}

/**
 * Shows something else here, as a step that Back returns from, or in place of what is shown, as where somebody goes on
 * typing.
 */
export function show(
  state: SearchState,
  query: string,
  page: number,
  filters: Filters = state.filters,
  step: 'new' | 'same' = 'new',
): void {
  state.query = query
  state.page = page
  state.filters = filters
  dispatchEvent(new CustomEvent(SHOWN, { detail: state.key }))
  const address = addressOf(state.key, query, page, location.href, filters)
  if (step === 'new') keepPlace()
  const { [PLACE]: _place, [VIEWED]: _viewed, ...before } = entryNow() ?? {}
  if (state.inAddress) {
    if (address === location.href && step === 'new') return
    // An address that says what is shown is obeyed; what was kept beside it would overrule it.
    const { [state.key]: _, ...others } = keptIn(before)
    const entry = Object.keys(others).length > 0 ? { ...before, [KEPT]: others } : before
    if (step === 'new') history.pushState(entry, '', address)
    else history.replaceState(entry, '', address)
    return
  }
  const showing: Showing = { query, page, filters: { ...filters } }
  const entry = {
    ...before,
    [KEPT]: { ...keptIn(before), [state.key]: JSON.parse(JSON.stringify(showing)) as Showing },
  }
  if (step === 'new') history.pushState(entry, '')
  else history.replaceState(entry, '')
}

addEventListener('popstate', () => {
  for (const state of states.values()) {
    const { query, page, filters } = state
    const now = showingNow(state.key)
    // A step that shows the same of this search is another's, or the page's own.
    if (JSON.stringify({ query, page, filters }) !== JSON.stringify(now)) Object.assign(state, now)
  }
})
addEventListener(LIGHT, event => {
  lit.value = (event as CustomEvent<string | null>).detail
})
const askAnew = () => {
  for (const state of states.values()) state.revision++
}
addEventListener(REFRESH, askAnew)
// The workbench frames a page of the owner's, which is of another origin than itself.
addEventListener('message', event => {
  if (event.data === REFRESH && event.origin === new URL(import.meta.url).origin) askAnew()
})

import { reactive, ref } from 'vue'

export type Filters = Record<string, string[]>

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
  /** Of the page, where the elements stand; empty where it names none. */
  language: string
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

const ELEMENTS = 'tidy-search, tidy-results, tidy-filters, tidy-list'
let first: string | null = null
/**
 * The key of the search that comes first on the page, in the order of its tags, whichever of them was ready first; it
 * stays the first, whatever comes later.
 */
function firstSearch(): string | undefined {
  first ??= document.querySelector(ELEMENTS)?.getAttribute('search') ?? null
  return first ?? states.keys().next().value
}

/**
 * Whether results of a search are shown on this page: by an element that is ready, or by one whose script is still on
 * its way.
 */
export function areResultsHere(state: SearchState): boolean {
  const key = CSS.escape(state.key)
  return state.resultsHere > 0 || document.querySelector(`:is(tidy-results, tidy-list)[search="${key}"]`) !== null
}

/** The names of a search's parameters: bare for the first search on a page, with the key and a dot for others. */
function parameter(key: string, name: string): string {
  return firstSearch() === key ? name : `${key}.${name}`
}

/** What is shown of a search. */
interface Showing {
  query: string
  page: number
  filters: Filters
}
/** Of an entry of the browser's history: what it shows of each search, by their keys. */
const KEPT = 'tidyLantern'
const keptIn = (entry: unknown): Record<string, Showing> =>
  ((entry ?? {}) as Record<string, Record<string, Showing> | undefined>)[KEPT] ?? {}
/** The entry that the browser is at, where something can be kept in it: a page's own script may have put a text there. */
const entryNow = (): Record<string, unknown> | null =>
  typeof history.state === 'object' ? ((history.state ?? {}) as Record<string, unknown>) : null

/** Of an entry of the browser's history: how far down the page somebody was. */
const PLACE = 'tidyLanternPlace'
/** Keeps how far down somebody is, for when they come back to here. */
export function keepPlace(): void {
  const entry = entryNow()
  if (entry) history.replaceState({ ...entry, [PLACE]: scrollY }, '')
}
/** How far down somebody was when they left what is shown now; null where they come to it anew. */
export function keptPlace(): number | null {
  const place = entryNow()?.[PLACE]
  return typeof place === 'number' ? place : null
}

/** What the entry of the history shows that the browser is at; else what the address says. */
const showingNow = (key: string): Showing => keptIn(history.state)[key] ?? fromAddress(key)

/** Query, page and everything else that may be a filter, as the address has them. Anything odd stands for nothing. */
function fromAddress(key: string): Showing {
  const parameters = new URLSearchParams(location.search)
  const page = Number.parseInt(parameters.get(parameter(key, 'page')) ?? '1', 10)
  const filters: Filters = {}
  for (const name of new Set(parameters.keys())) {
    const own = ownName(key, name)
    // The service passes over what is no filter of the search.
    if (own !== null && own !== 'q' && own !== 'page') {
      const values = parameters.getAll(name).filter(value => value !== '')
      filters[own] = values.length > 0 ? values : ['']
    }
  }
  return {
    query: parameters.get(parameter(key, 'q')) ?? '',
    page: Number.isFinite(page) && page > 0 ? page : 1,
    filters,
  }
}

/** What a parameter of the address is to this search; null if it is another search's. */
function ownName(key: string, name: string): string | null {
  if (firstSearch() === key) return name.includes('.') ? null : name
  return name.startsWith(`${key}.`) ? name.slice(key.length + 1) : null
}

/** The address that shows this of the search here; parameters that are not ours are left alone. */
export function addressOf(
  key: string,
  query: string,
  page: number,
  base = location.href,
  filters: Filters = {},
): string {
  const url = new URL(base)
  // A search's own results page is where it comes first, whatever its place on this one.
  const named = (name: string) => (base === location.href ? parameter(key, name) : name)
  const set = (name: string, values: string[]) => {
    // What stands there already keeps its place.
    if (JSON.stringify(url.searchParams.getAll(named(name))) === JSON.stringify(values)) return
    url.searchParams.delete(named(name))
    for (const value of values) url.searchParams.append(named(name), value)
  }
  set('q', query === '' ? [] : [query])
  set('page', page > 1 ? [String(page)] : [])
  for (const [name, values] of Object.entries(filters)) set(name, values)
  return url.href
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
    language: '',
    revision: 0,
  })
  states.set(key, state)
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
  const address = addressOf(state.key, query, page, location.href, filters)
  if (step === 'new') keepPlace()
  const { [PLACE]: _place, ...before } = entryNow() ?? {}
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
  for (const state of states.values()) Object.assign(state, showingNow(state.key))
})
addEventListener(LIGHT, event => {
  lit.value = (event as CustomEvent<string | null>).detail
})
addEventListener(REFRESH, () => {
  for (const state of states.values()) state.revision++
})

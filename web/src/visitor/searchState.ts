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

/** The names of a search's parameters: bare for the first search on a page, with the key and a dot for others. */
function parameter(key: string, name: string): string {
  return states.keys().next().value === key ? name : `${key}.${name}`
}

/** Query, page and everything else that may be a filter, as the address has them. Anything odd stands for nothing. */
function fromAddress(key: string): { query: string; page: number; filters: Filters } {
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
  if (states.keys().next().value === key) return name.includes('.') ? null : name
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
    language: '',
    revision: 0,
  })
  states.set(key, state)
  Object.assign(state, fromAddress(key))
  return state
}

/** Shows something else here, and puts it into the address as a step that Back returns from. */
export function show(state: SearchState, query: string, page: number, filters: Filters = state.filters): void {
  state.query = query
  state.page = page
  state.filters = filters
  const address = addressOf(state.key, query, page, location.href, filters)
  if (address !== location.href) history.pushState(history.state, '', address)
}

addEventListener('popstate', () => {
  for (const state of states.values()) Object.assign(state, fromAddress(state.key))
})
addEventListener(LIGHT, event => {
  lit.value = (event as CustomEvent<string | null>).detail
})
addEventListener(REFRESH, () => {
  for (const state of states.values()) state.revision++
})

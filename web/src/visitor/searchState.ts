import { reactive } from 'vue'

/** What one search on a page is at: shared by its box and its results, which find each other by the search's key. */
export interface SearchState {
  readonly key: string
  /** What was asked for last; what the results show. */
  query: string
  page: number
  /** How many results elements are on the page; without one, the box leads to the results page. */
  resultsHere: number
  /** Raised to ask everything anew, as the stage does when the draft changed. */
  revision: number
}

/** The stage sends this to its window when the draft changed. */
export const REFRESH = 'tidy-lantern-refresh'

const states = new Map<string, SearchState>()

/** The names of a search's parameters: bare for the first search on a page, with the key and a dot for others. */
function parameter(key: string, name: 'q' | 'page'): string {
  return states.keys().next().value === key ? name : `${key}.${name}`
}

/** Query and page as the address has them. Anything odd in it stands for nothing and the first page. */
function fromAddress(key: string): { query: string, page: number } {
  const parameters = new URLSearchParams(location.search)
  const page = Number.parseInt(parameters.get(parameter(key, 'page')) ?? '1', 10)
  return { query: parameters.get(parameter(key, 'q')) ?? '', page: Number.isFinite(page) && page > 0 ? page : 1 }
}

/** The address that shows this query and page of the search here; parameters that are not ours are left alone. */
export function addressOf(key: string, query: string, page: number, base = location.href): string {
  const url = new URL(base)
  const set = (name: 'q' | 'page', value: string) => {
    // A search's own results page is where it comes first, whatever its place on this one.
    const named = base === location.href ? parameter(key, name) : name
    if (value === '') url.searchParams.delete(named)
    else url.searchParams.set(named, value)
  }
  set('q', query)
  set('page', page > 1 ? String(page) : '')
  return url.href
}

/** The state of the search with this key; the same object for all its elements. */
export function sharedSearch(key: string): SearchState {
  const known = states.get(key)
  if (known) return known
  const state: SearchState = reactive({ key, query: '', page: 1, resultsHere: 0, revision: 0 })
  states.set(key, state)
  Object.assign(state, fromAddress(key))
  return state
}

/** Shows a query or another page here, and puts it into the address as a step that Back returns from. */
export function show(state: SearchState, query: string, page: number): void {
  state.query = query
  state.page = page
  const address = addressOf(state.key, query, page)
  if (address !== location.href) history.pushState(history.state, '', address)
}

addEventListener('popstate', () => {
  for (const state of states.values()) Object.assign(state, fromAddress(state.key))
})
addEventListener(REFRESH, () => {
  for (const state of states.values()) state.revision++
})

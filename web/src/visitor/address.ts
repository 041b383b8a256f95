/** What is shown of the searches on a page: as its address has it, and the browser's history. */

export type Filters = Record<string, string[]>

const ELEMENTS = 'tidy-search, tidy-results, tidy-filters, tidy-list'
let first: string | null = null
/** The searches that an element on this page is ready for, in their order. */
const known = new Set<string>()
/** Notes that an element of a search is ready. */
export function noteSearch(key: string): void {
  known.add(key)
}
/**
 * The key of the search that comes first on the page, in the order of its tags, whichever of them was ready first; it
 * stays the first, whatever comes later.
 */
function firstSearch(): string | undefined {
  first ??= document.querySelector(ELEMENTS)?.getAttribute('search') ?? null
  return first ?? known.values().next().value
}

/** The names of a search's parameters: bare for the first search on a page, with the key and a dot for others. */
function parameter(key: string, name: string): string {
  return firstSearch() === key ? name : `${key}.${name}`
}

/** What is shown of a search. */
export interface Showing {
  query: string
  page: number
  filters: Filters
}
/** Of an entry of the browser's history: what it shows of each search, by their keys. */
export const KEPT = 'tidyLantern'
export const keptIn = (entry: unknown): Record<string, Showing> =>
  ((entry ?? {}) as Record<string, Record<string, Showing> | undefined>)[KEPT] ?? {}
/** The entry that the browser is at, where something can be kept in it: a page's own script may have put a text there. */
export const entryNow = (): Record<string, unknown> | null =>
  typeof history.state === 'object' ? ((history.state ?? {}) as Record<string, unknown>) : null

/** Of an entry of the browser's history: how far down the page somebody was. */
export const PLACE = 'tidyLanternPlace'
/** Of an entry of the browser's history: which picture of a list is looked at large. */
export const VIEWED = 'tidyLanternViewed'
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
export const showingNow = (key: string): Showing => keptIn(history.state)[key] ?? fromAddress(key)

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

/** Nothing set in any of these parameters. */
export const cleared = (filters: Filters): Filters =>
  Object.fromEntries(Object.keys(filters).map(name => [name, [] as string[]]))

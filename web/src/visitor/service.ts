import { fetchJson, type Fetched } from '../shared/http'
import { draftTokenOf } from './draftLink'
import { languageOf } from './pageLanguage'
import type { ValuesPage, WantedValues } from './filters/moreValues'
import type { Filters, Showing } from './address'
import type { FilterValue, ListedAddresses, LiveResults, Results, SearchFace, SpokenTexts } from '../shared/contract'

/** Which design answers: the live version, which is the visitors', or for a signed-in owner the draft. */
export type Source = 'live' | 'draft'

/** The service that this script came from. */
const origin = new URL(import.meta.url).origin

/** Where the service hears of a search, or is asked what visitors may ask. */
export const publicAddress = (key: string, what: string): string =>
  `${origin}/api/public/searches/${encodeURIComponent(key)}${what === 'face' ? '' : `/${what}`}`

function address(
  key: string,
  source: Source,
  what: 'face' | 'look.css' | 'texts' | 'results' | 'live' | 'addresses' | `filters/${string}`,
  parameters: string[][] = [],
): string {
  const base =
    source === 'draft'
      ? `${origin}/api/owner/searches/${encodeURIComponent(key)}/draft/${what}`
      : publicAddress(key, what)
  const token = source === 'live' ? draftTokenOf(key) : null
  const query = new URLSearchParams([...parameters, ...(token === null ? [] : [['tidy-draft', token]])]).toString()
  return base + (query ? `?${query}` : '')
}

/** In the language of the page; where that names none, the search's own decides, and not the browser's. */
const asked = (key: string, signal?: AbortSignal): RequestInit => ({
  signal,
  headers: { Accept: 'application/json', 'Accept-Language': languageOf(key) || '*' },
})

/** What all elements of a search ask for alike comes once; by what it is, at the revision that was asked for last. */
const shared = new Map<string, { revision: number; coming: Promise<unknown> }>()
function once<T>(what: string, revision: number, fetch: () => Promise<T>): Promise<T> {
  const known = shared.get(what)
  if (known?.revision === revision) return known.coming as Promise<T>
  const coming = fetch()
  shared.set(what, { revision, coming })
  // What failed is asked for again.
  coming.catch(() => shared.delete(what))
  return coming
}

/**
 * What the elements need to draw a search.
 *
 * @param revision raised to ask anew
 */
export function fetchFace(key: string, source: Source, revision: number): Promise<SearchFace> {
  return once(`face ${source} ${key}`, revision, async () => {
    const { body } = await fetchJson<SearchFace>(address(key, source, 'face'), asked(key))
    return { ...body, resultsPage: new URL(body.resultsPage, origin).href }
  })
}

/** What the elements of a search wear, as a style sheet. */
export async function fetchLook(key: string, source: Source): Promise<string> {
  const answer = await fetch(address(key, source, 'look.css'))
  if (!answer.ok) throw new Error(`${answer.url} answered ${answer.status}`)
  return answer.text()
}

/**
 * What visitors read around the results, in the language of the page.
 *
 * @param revision raised to ask anew
 */
export function fetchTexts(key: string, source: Source, revision: number): Promise<SpokenTexts> {
  return once(
    `texts ${source} ${key} ${languageOf(key)}`,
    revision,
    async () => (await fetchJson<SpokenTexts>(address(key, source, 'texts'), asked(key))).body,
  )
}

const parametersOf = (filters: Filters) =>
  Object.entries(filters).flatMap(([key, values]) => values.map(value => [key, value]))

const resultsAt = (key: string, source: Source, { query, page, filters }: Showing) =>
  address(key, source, 'results', [['q', query], ['page', String(page)], ...parametersOf(filters)])

/** What was asked for before its elements were there to show it, by its address; each answer is taken once. */
const early = new Map<string, Promise<Fetched<Results>>>()

/** Asks for the results that a page is to show while the script that shows them is still on its way. */
export function askEarly(key: string, showing: Showing): void {
  const at = resultsAt(key, 'live', showing)
  const coming = fetchJson<Results>(at, asked(key))
  // Whoever takes it hears that it failed.
  coming.catch(() => {})
  early.set(at, coming)
}

export async function fetchResults(
  key: string,
  source: Source,
  query: string,
  page: number,
  filters: Filters,
  signal: AbortSignal,
): Promise<Results> {
  const at = resultsAt(key, source, { query, page, filters })
  const begun = early.get(at)
  early.delete(at)
  return (await (begun ?? fetchJson<Results>(at, asked(key, signal)))).body
}

/** Values of a filter that did not come with the results: those right below one, or with letters in their names. */
export async function fetchValues(
  key: string,
  source: Source,
  query: string,
  filters: Filters,
  filter: string,
  wanted: WantedValues,
): Promise<ValuesPage> {
  const parameters = [['q', query], ...Object.entries(wanted), ...parametersOf(filters)]
  const { body, headers } = await fetchJson<FilterValue[]>(
    address(key, source, `filters/${encodeURIComponent(filter)}/values`, parameters),
    asked(key),
  )
  return { values: body, goesOn: headers.get('Link')?.includes('rel="next"') ?? false }
}

export async function fetchLive(
  key: string,
  source: Source,
  query: string,
  filters: Filters,
  signal: AbortSignal,
): Promise<LiveResults> {
  return (
    await fetchJson<LiveResults>(
      address(key, source, 'live', [['q', query], ...parametersOf(filters)]),
      asked(key, signal),
    )
  ).body
}

/** Where the items of a query are, in its order. */
export async function fetchAddresses(
  key: string,
  source: Source,
  query: string,
  filters: Filters,
  signal: AbortSignal,
): Promise<ListedAddresses> {
  const parameters = [['q', query], ...parametersOf(filters)]
  return (await fetchJson<ListedAddresses>(address(key, source, 'addresses', parameters), asked(key, signal))).body
}

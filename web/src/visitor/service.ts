import { fetchJson } from '../shared/http'
import type { ValuesPage, WantedValues } from './filters/moreValues'
import { sharedSearch, type Filters } from './searchState'
import type { FilterValue, ListedAddresses, LiveResults, Results, SearchFace, SpokenTexts } from '../shared/contract'

/** Which design answers: the live version, which is the visitors', or for a signed-in owner the draft. */
export type Source = 'live' | 'draft'

/** The service that this script came from. */
const origin = new URL(import.meta.url).origin

function address(
  key: string,
  source: Source,
  what: 'face' | 'look.css' | 'texts' | 'results' | 'live' | 'addresses' | `filters/${string}`,
  parameters: string[][] = [],
): string {
  const path =
    source === 'draft'
      ? `/api/owner/searches/${encodeURIComponent(key)}/draft/${what}`
      : `/api/public/searches/${encodeURIComponent(key)}${what === 'face' ? '' : `/${what}`}`
  const query = new URLSearchParams(parameters).toString()
  return origin + path + (query ? `?${query}` : '')
}

/** In the language of the page; where that names none, the search's own decides, and not the browser's. */
const asked = (key: string, signal?: AbortSignal): RequestInit => ({
  signal,
  headers: { Accept: 'application/json', 'Accept-Language': sharedSearch(key).language || '*' },
})

export async function fetchFace(key: string, source: Source, signal: AbortSignal): Promise<SearchFace> {
  const { body } = await fetchJson<SearchFace>(address(key, source, 'face'), asked(key, signal))
  return { ...body, resultsPage: new URL(body.resultsPage, origin).href }
}

/** What the elements of a search wear, as a style sheet. */
export async function fetchLook(key: string, source: Source): Promise<string> {
  const answer = await fetch(address(key, source, 'look.css'))
  if (!answer.ok) throw new Error(`${answer.url} answered ${answer.status}`)
  return answer.text()
}

/** What visitors read around the results. */
export async function fetchTexts(key: string, source: Source): Promise<SpokenTexts> {
  return (await fetchJson<SpokenTexts>(address(key, source, 'texts'), asked(key))).body
}

const parametersOf = (filters: Filters) =>
  Object.entries(filters).flatMap(([key, values]) => values.map(value => [key, value]))

export async function fetchResults(
  key: string,
  source: Source,
  query: string,
  page: number,
  filters: Filters,
  signal: AbortSignal,
): Promise<Results> {
  return (
    await fetchJson<Results>(
      address(key, source, 'results', [['q', query], ['page', String(page)], ...parametersOf(filters)]),
      asked(key, signal),
    )
  ).body
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

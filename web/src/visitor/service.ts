import { fetchJson, RequestFailure, type Fetched } from '../shared/http'
import { draftTokenOf } from './draftLink'
import { languageOf } from './pageLanguage'
import type { ValuesPage, WantedValues } from './filters/moreValues'
import type { Filters, Showing } from './address'
import type { FilterValue, ListedAddresses, LiveResults, Results, SearchFace, SpokenTexts } from '../shared/contract'

/** Which design answers: the live version, which is the visitors', or for a signed-in owner the draft or any version. */
export type Source = 'live' | 'draft' | `version-${number}`

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
    source === 'live'
      ? publicAddress(key, what)
      : `${origin}/api/owner/searches/${encodeURIComponent(key)}/${source}/${what}`
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
    const { body } = await ask<SearchFace>(key, address(key, source, 'face'))
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
    async () => (await ask<SpokenTexts>(key, address(key, source, 'texts'))).body,
  )
}

/** So long a visitor is let wait for a service that has too much to do, and so often it is asked again. */
const LONGEST_WAIT_S = 10
const MOST_TRIES = 3
const BUSY: readonly number[] = [429, 503]
/** The status that a link to a draft is answered with once it has ended. */
const DRAFT_ENDED = 410

/**
 * Asks the service for JSON. Where it has too much to do it is asked again, once it wants to be; where a link to a draft
 * has ended, the page shows what visitors see.
 */
async function ask<Body>(key: string, url: string, signal?: AbortSignal): Promise<Fetched<Body>> {
  for (let tries = 1; ; tries++) {
    try {
      const answer = await fetchJson<Body>(url, asked(key, signal))
      const offer = answer.headers.get('Tidy-Lantern-Draft')
      if (offer) void import('./draftOffer').then(({ heed }) => heed(key, offer))
      return answer
    } catch (failure) {
      if (!(failure instanceof RequestFailure)) throw failure
      if (failure.status === DRAFT_ENDED) void import('./draftNotice').then(({ leaveDraft }) => leaveDraft(key))
      const wait = BUSY.includes(failure.status) ? failure.retryAfter : null
      if (wait === null || wait > LONGEST_WAIT_S || tries === MOST_TRIES) throw failure
      await new Promise(resolve => setTimeout(resolve, wait * 1000))
      // Nobody waits for it any more.
      signal?.throwIfAborted()
    }
  }
}

const parametersOf = (filters: Filters) =>
  Object.entries(filters).flatMap(([key, values]) => values.map(value => [key, value]))

const resultsAt = (key: string, source: Source, { query, page, filters }: Showing) =>
  address(key, source, 'results', [['q', query], ['page', String(page)], ...parametersOf(filters)])

/** Results that are shown or on their way: for how many, and how they are given up. */
interface SharedResults {
  coming: Promise<Fetched<Results>>
  wanted: number
  unwanted: AbortController
}

/** By revision and address: list, filters and box of a page want the same ones. */
const sharedResults = new Map<string, SharedResults>()

/**
 * The results of a search, asked for once as long as anything on the page has them; what nothing waits for any more is
 * given up.
 *
 * @param revision raised to ask anew
 */
export async function fetchResults(
  key: string,
  source: Source,
  showing: Showing,
  revision: number,
  signal: AbortSignal,
): Promise<Results> {
  const at = resultsAt(key, source, showing)
  const what = revision + at
  let shared = sharedResults.get(what)
  if (!shared) {
    const unwanted = new AbortController()
    shared = { coming: ask<Results>(key, at, unwanted.signal), wanted: 0, unwanted }
    sharedResults.set(what, shared)
  }
  const mine = shared
  mine.wanted++
  signal.addEventListener('abort', () => {
    if (--mine.wanted > 0) return
    mine.unwanted.abort()
    sharedResults.delete(what)
  })
  return (await mine.coming).body
}

/** So long results are kept for the script that shows them. */
const EARLY_MS = 10_000

/** Asks for the results that a page is to show while the script that shows them is still on its way. */
export function askEarly(key: string, showing: Showing): void {
  const kept = new AbortController()
  setTimeout(() => kept.abort(), EARLY_MS)
  // Whoever shows them hears that it failed.
  fetchResults(key, 'live', showing, 0, kept.signal).catch(() => {})
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
  const { body, headers } = await ask<FilterValue[]>(
    key,
    address(key, source, `filters/${encodeURIComponent(filter)}/values`, parameters),
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
  return (await ask<LiveResults>(key, address(key, source, 'live', [['q', query], ...parametersOf(filters)]), signal))
    .body
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
  return (await ask<ListedAddresses>(key, address(key, source, 'addresses', parameters), signal)).body
}

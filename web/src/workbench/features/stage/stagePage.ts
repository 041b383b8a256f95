/** What of the visitors' search is seen: on a page, or one card in every place. */
export type StagePlace = 'results' | 'header' | 'page' | 'side' | 'home' | 'own' | 'cards'
export type StageWidth = 'wide' | 'phone'

export const PLACES: readonly { value: StagePlace; label: string }[] = [
  { value: 'results', label: 'Results' },
  { value: 'header', label: 'Header' },
  { value: 'page', label: 'Page' },
  { value: 'side', label: 'Column' },
  { value: 'home', label: 'Filters' },
  { value: 'own', label: 'Your page' },
]
/** Where the elements stand while a step decides on them. */
export const PLACE_OF_STEP: Readonly<Record<string, StagePlace>> = {
  'search-box': 'header',
  'live-results': 'header',
  'results-page': 'results',
}
/** While a card is composed, it is in view. */
export const WITH_CARDS: typeof PLACES = [{ value: 'cards', label: 'The card' }, ...PLACES]
export const WIDTHS: readonly { value: StageWidth; label: string }[] = [
  { value: 'wide', label: 'Wide' },
  { value: 'phone', label: 'Phone' },
]

/**
 * Where the page of the stage is.
 *
 * @param version that answers there; null for the draft
 */
export const stageAddress = (search: string, place: StagePlace, site: string, version: number | null): string =>
  `/workbench/stage.html#${new URLSearchParams({
    search,
    place,
    site,
    source: version === null ? 'draft' : `version-${version}`,
  })}`

const OWN = ['q', 'page']

/** What is set by the filters of a page's search, by their keys: the elements keep it in their address. */
export function ticked(page: Window | null | undefined): Record<string, string[]> {
  const parameters = new URLSearchParams(page?.location.search ?? '')
  return Object.fromEntries(
    [...new Set(parameters.keys())].filter(key => !OWN.includes(key)).map(key => [key, parameters.getAll(key)]),
  )
}

/** Has the elements of a page ask a query, as if it had been typed: they follow the address. */
export function askOn(page: Window | null | undefined, query: string): void {
  if (!page) return
  const address = new URL(page.location.href)
  address.searchParams.set('q', query)
  page.history.pushState(null, '', address)
  page.dispatchEvent(new PopStateEvent('popstate'))
}

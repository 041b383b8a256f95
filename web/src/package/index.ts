/** Loads the elements of a Tidy Lantern search, and tells their types. */

/** What is set in filters, by the filters' keys. */
export type Filters = Record<string, string[]>

/** What all elements of a search have. */
export interface SearchElement extends HTMLElement {
  /** The key of the search, from Go live; the attribute `search`. */
  search: string
  /** The last answer that the element showed, as the service gave it; null before there is one. */
  readonly answer: unknown
  /**
   * Has the search show what is found by other words on this page, as if somebody had asked; a box leads to where all
   * its results are.
   *
   * @param filters what is set; what is set already where nothing is said
   * @returns once it is asked, not once it is answered
   */
  ask(query: string, filters?: Filters): Promise<void>
  /** Has all elements of the search on this page ask the service anew. */
  refresh(): Promise<void>
}

/** What elements tell the page, by the names of the events. */
export interface TidyEventDetails {
  /** Somebody asked: by Enter, a button, a filter, a page or an order. */
  'tidy-query': { search: string; query: string; page: number; filters: Filters }
  /** The list has an answer: the very one of the service. */
  'tidy-results': { search: string; answer: unknown }
  /** Somebody chose a result; `preventDefault()` keeps the element from following its link. */
  'tidy-choose': { search: string; collection: string; id: string; address: string | null; from: 'live' | 'list' }
}

declare global {
  interface HTMLElementTagNameMap {
    'tidy-search': SearchElement
    'tidy-results': SearchElement
    'tidy-filters': SearchElement
    'tidy-list': SearchElement
  }
  interface HTMLElementEventMap {
    'tidy-query': CustomEvent<TidyEventDetails['tidy-query']>
    'tidy-results': CustomEvent<TidyEventDetails['tidy-results']>
    'tidy-choose': CustomEvent<TidyEventDetails['tidy-choose']>
  }
}

const ELEMENTS = ['tidy-search', 'tidy-results', 'tidy-filters', 'tidy-list'] as const

/**
 * Loads the elements from a service; once, however often it is called.
 *
 * @param service where it is: `https://search.your-site.example`
 * @throws TypeError if there is no such address, or no service answers at it
 */
export async function loadTidyLantern(service: string | URL): Promise<void> {
  const script = new URL('/elements/tidy-lantern.js', service)
  await import(/* @vite-ignore */ script.href)
  await Promise.all(ELEMENTS.map(name => customElements.whenDefined(name)))
}

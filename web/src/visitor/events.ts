/**
 * What a page's own script may listen to. Each goes out of the element through any shadow that it stands in.
 */
export interface TidyEvents {
  /** Somebody asked: by Enter, a button, a filter, a page or an order. */
  'tidy-query': { search: string; query: string; page: number; filters: Record<string, string[]> }
  /** The list has an answer: the very one of the service. */
  'tidy-results': { search: string; answer: unknown }
  /** Somebody chose a result; `preventDefault()` keeps the element from following its link. */
  'tidy-choose': {
    search: string
    collection: string
    id: string
    address: string | null
    from: 'live' | 'list'
  }
}

/**
 * Tells whoever listens.
 *
 * @returns whether nobody prevented what comes next
 */
export function tell<Name extends keyof TidyEvents>(
  host: Element | null | undefined,
  name: Name,
  detail: TidyEvents[Name],
): boolean {
  return host?.dispatchEvent(new CustomEvent(name, { detail, bubbles: true, composed: true, cancelable: true })) ?? true
}

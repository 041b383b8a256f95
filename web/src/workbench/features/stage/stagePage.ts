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

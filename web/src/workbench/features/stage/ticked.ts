const OWN = ['q', 'page']

/** What is set by the filters of a page's search, by their keys: the elements keep it in their address. */
export function ticked(page: Window | null | undefined): Record<string, string[]> {
  const parameters = new URLSearchParams(page?.location.search ?? '')
  return Object.fromEntries(
    [...new Set(parameters.keys())].filter(key => !OWN.includes(key)).map(key => [key, parameters.getAll(key)]),
  )
}

/** What of a search can stand on a page, by the name of its element. */
export const KINDS_OF_TAG = [
  { value: 'tidy-search', label: 'The search box' },
  { value: 'tidy-results', label: 'The list of results' },
  { value: 'tidy-filters', label: 'Filters alone' },
  { value: 'tidy-list', label: 'A list of your own' },
] as const
export type KindOfTag = (typeof KINDS_OF_TAG)[number]['value']

/** @param resultsPage the page of the site that it leads to; null for the search's own */
export function tagOf(kind: KindOfTag, search: string, resultsPage: string | null): string {
  const leads = resultsPage === null ? '' : ` results-page="${resultsPage}"`
  const inside = kind === 'tidy-list' ? '\n  <!-- your list as it is: each entry with its link -->\n' : ''
  return `<${kind} search="${search}"${leads}>${inside}</${kind}>`
}

import { sharedSearch } from '../searchState'
import type { Source } from '../service'
import { provideTexts } from '../texts'

/** What every element of a search begins with: what the search is at on this page, and its texts. */
export function useSearchElement(search: string, source: Source) {
  const state = sharedSearch(search)
  const texts = provideTexts(search, source, state)
  return { state, texts, ...texts }
}

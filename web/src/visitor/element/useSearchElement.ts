import { provideOwnCards } from '../cards/OwnCard'
import { sharedSearch } from '../searchState'
import type { Source } from '../service'
import { provideTexts } from '../texts'

/** What every element of a search begins with: what the search is at on this page, its texts, the page's own cards. */
export function useSearchElement(search: string, source: Source) {
  const state = sharedSearch(search)
  const texts = provideTexts(search, source, state)
  provideOwnCards()
  return { state, texts, ...texts }
}

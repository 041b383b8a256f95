import type { SearchFace } from '../../shared/contract'
import { safeAddress } from '../../shared/http'
import { remember } from '../live/recentSearches'
import { addressOf, type Filters } from '../address'
import { areResultsHere, show, type SearchState } from '../searchState'
import { fetchLive, type Source } from '../service'

/** Where Enter and the button of a box lead. */
export interface Leading {
  /** Where all results of what is typed are. */
  address: () => string
  /** Goes there; shows them here, where here is there. */
  go: () => void
}

/**
 * @param query the words in the box
 * @param chosen what is set beside them
 * @param told tells the page's own script that somebody asked, where no list on the page does
 */
export function useLeading(
  search: string,
  source: Source,
  state: SearchState,
  face: () => SearchFace | null,
  query: () => string,
  chosen: () => Filters,
  told: () => void,
): Leading {
  const page = () => face()?.resultsPage ?? null
  const isPage = (address: string) => new URL(address).pathname === location.pathname
  /** Null where results are shown on the same page. */
  const elsewhere = () => {
    const address = page()
    if (address === null) return null
    const stays = areResultsHere(state) && (face()?.box.leads !== 'page' || face()?.hostedPage || isPage(address))
    return stays ? null : address
  }
  const address = () => addressOf(search, query(), 1, elsewhere() ?? undefined, chosen())
  function toResults() {
    const there = elsewhere()
    if (there === null) {
      // The list tells of that itself.
      show(state, query(), 1, chosen())
      return
    }
    told()
    location.assign(addressOf(search, query(), 1, there, chosen()))
  }
  async function toFirst() {
    const words = query()
    try {
      const answer = await fetchLive(search, source, words, chosen(), new AbortController().signal)
      const first = safeAddress(answer.groups[0]?.hits[0]?.url ?? null)
      if (words === query() && first !== null) {
        location.assign(first)
        return
      }
    } catch (error) {
      console.error(`tidy-lantern: no first result of "${search}"`, error)
    }
    toResults()
  }
  return {
    address,
    go() {
      if (face()?.live.above.recent) remember(search, query())
      if (face()?.box.leads === 'first' && query() !== '' && source === 'live') void toFirst()
      else toResults()
    },
  }
}

import type { SearchFace } from '../shared/contract'
import { safeAddress } from '../shared/http'

/**
 * A search as an element shows it that leads to a results page of its own.
 *
 * @param page what the element's tag names; empty for the search's results page
 */
export function ledTo(page: string, face: SearchFace): SearchFace {
  const address = page === '' ? null : safeAddress(page)
  return address === null ? face : { ...face, resultsPage: address, hostedPage: false }
}

import type { Results } from '../../shared/contract'
import type { Texts } from '../texts'

/** What a list of results is called. */
export function resultsTitle({ query, startingList, newestFirst, list }: Results, say: Texts['say']): string {
  if (!startingList) return say('resultsFor', { query })
  switch (list.start) {
    case 'featured':
      return say('featured')
    case 'popular':
      return say('popular')
    case 'category':
      return list.startLabel
    default:
      return say(newestFirst ? 'newest' : 'all')
  }
}

import type { CollectionShape, ReachCounts, SearchDesign, SearchSummary } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { inUse } from '../filters/filters'
import { ORDER_NAMES } from '../order/orders'
import { boxLine, liveLine, pageLine } from '../places/placeNames'
import type { StepKey } from './steps'

/** What the lines of a search's path go by. */
export interface PathFacts {
  readonly design: SearchDesign
  readonly summary: SearchSummary | null
  readonly collections: readonly CollectionShape[]
  /** Undefined while nobody knows. */
  readonly counts: ReachCounts | undefined
}

/** One line of truth a step: what is decided there. */
export const PATH_LINES: Record<StepKey, (facts: PathFacts) => string> = {
  'what-is-searched': ({ design, collections, counts }) => {
    const { length } = design.reach.collections.filter(one => collections.some(known => known.key === one.collection))
    const all = collections.reduce((sum, one) => sum + one.items, 0)
    const found = counts ? formatNumber(counts.inReach) : '…'
    return `${counted(length, 'collection')} · ${found} of ${counted(all, 'item')}`
  },
  words: ({ design: { words } }) => {
    const searched = words.weights.filter(one => one.weight > 0)
    return `${counted(searched.length, 'field')} · typos ${words.matching.typos.allowed ? 'forgiven' : 'not forgiven'}`
  },
  filters: ({ design: { filters } }) => (filters.length === 0 ? 'None yet' : counted(inUse(filters).length, 'filter')),
  order: ({
    design: {
      ranking: { order, tiers, pins },
    },
  }) =>
    [
      `${ORDER_NAMES[order.withWords[0]!.by]} first`,
      tiers.length > 0 ? counted(tiers.length, 'tier') : '',
      pins.length > 0 ? counted(pins.length, 'pin') : '',
      tiers.length + pins.length === 0 && order.choices.length > 0 ? counted(order.choices.length, 'choice') : '',
    ]
      .filter(Boolean)
      .join(' · '),
  cards: ({
    design: {
      appearance: { cards, look },
    },
  }) => `${cards.length === 0 ? 'Usual cards' : counted(cards.length, 'card')} · ${look.from ?? 'site’s look'}`,
  'search-box': ({ design }) => boxLine(design),
  'live-results': ({ design }) => liveLine(design),
  'results-page': ({ design }) => pageLine(design),
  'go-live': ({ summary }) => {
    if (!summary?.live) return 'Not live yet'
    return summary.differences.length === 0
      ? `Version ${summary.live.version} is live`
      : `${counted(summary.differences.length, 'change')} not live`
  },
}

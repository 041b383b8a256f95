import type { Hit, OrderKey } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'

const KEYS: Record<OrderKey['by'], string> = {
  tier: 'tier',
  'place-in-tier': 'place in the tier',
  relevance: 'relevance',
  distance: 'distance',
  newest: 'newest',
  'next-day': 'next day',
  number: 'number',
  title: 'title',
}

/** Why a result stands before the next one, for the owner. */
export function standingOf(hit: Hit): string {
  const why = hit.standing
  if (!why) return ''
  if (why.pinnedAt !== null) return `Pinned at ${why.pinnedAt}`
  const apart = apartBy(hit)
  if (why.lifted) {
    const how =
      why.placeInTier !== null ? `place ${why.placeInTier} in the tier` : why.takesTurns ? 'its turn today' : ''
    return ['Lifted: ' + (why.tierName ?? ''), how || (why.by?.by === 'tier' ? '' : apart)].filter(Boolean).join(', ')
  }
  return why.tierName === null ? `By ${apart}` : `Marked: ${why.tierName}; by ${apart}`
}

/** What tells a result from the next one. */
function apartBy(hit: Hit): string {
  const key = hit.standing?.by ?? null
  if (key === null) return 'its id, all else being equal'
  if (key.by === 'distance' && hit.distanceKm !== undefined)
    return `${KEYS.distance} (${formatNumber(Math.round(hit.distanceKm * 10) / 10)} km)`
  if (key.by === 'relevance') return `${KEYS.relevance} (${hit.score.toFixed(1)})`
  return key.field === null ? KEYS[key.by] : `${KEYS[key.by]} (${key.field})`
}

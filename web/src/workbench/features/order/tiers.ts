import { withRanking } from '../searches/designParts'
import type { CollectionShape, SearchDesign, Tier, TierHolders, TierLooks } from '../../../shared/contract'
import { counted } from '../../kit/format'
import { keyFrom } from '../../kit/keyFrom'

/** Looks to begin with, each unlike the others; what a new tier gets, in this order. */
export const READY_LOOKS: readonly { name: string; looks: TierLooks }[] = [
  {
    name: 'Lamp',
    looks: {
      ground: '#fff8ea',
      corners: null,
      edge: 'clear',
      edgeColor: '#8a5200',
      ribbon: { text: 'Featured', color: '#ffffff', ground: '#8a5200', size: 'usual', side: 'end' },
    },
  },
  {
    name: 'Sea',
    looks: {
      ground: null,
      corners: null,
      edge: 'fine',
      edgeColor: '#0e5f63',
      ribbon: { text: 'Recommended', color: '#ffffff', ground: '#0e5f63', size: 'usual', side: 'start' },
    },
  },
  {
    name: 'Quiet',
    looks: {
      ground: '#f4f2ec',
      corners: null,
      edge: 'none',
      edgeColor: '#5c6c74',
      ribbon: { text: 'Partner', color: '#1b2a33', ground: '#d9d4c5', size: 'small', side: 'end' },
    },
  },
  {
    name: 'Night',
    looks: {
      ground: null,
      corners: 4,
      edge: 'strong',
      edgeColor: '#1b2a33',
      ribbon: { text: 'Top choice', color: '#ffe2a8', ground: '#1b2a33', size: 'large', side: 'start' },
    },
  },
]

/** The tiers by rank; those without one last. */
export const byRank = (tiers: readonly Tier[]): Tier[] =>
  [...tiers].sort((a, b) => (a.rank ?? Infinity) - (b.rank ?? Infinity))

/** With ranks from 1 on, as they stand. */
export const ranked = (tiers: readonly Tier[]): Tier[] => tiers.map((tier, n) => ({ ...tier, rank: n + 1 }))

/** A tier more, the lowest. The first that lifts brings the keys into both orders that it needs for that. */
export function withNewTier(design: SearchDesign, name: string): SearchDesign {
  const ready = READY_LOOKS[design.ranking.tiers.length % READY_LOOKS.length]!
  const tier: Tier = {
    key: keyFrom(
      name,
      design.ranking.tiers.map(one => one.key),
    ),
    name,
    rank: null,
    holders: [],
    lift: { most: 3, mostLive: 1, turns: 'by-day' },
    disclosure: null,
    looks: ready.looks,
  }
  return withLift(withRanking(design, { tiers: ranked([...byRank(design.ranking.tiers), tier]) }))
}

/** With 'tier' and 'place in the tier' first in both orders, where an order has no such key. */
export function withLift(design: SearchDesign): SearchDesign {
  const keys = (of: SearchDesign['ranking']['order']['withWords']) =>
    of.some(key => key.by === 'tier')
      ? of
      : [
          ...(['tier', 'place-in-tier'] as const).map(by => ({ by, field: null, down: false, without: null })),
          ...of.filter(key => key.by !== 'place-in-tier'),
        ]
  const { order } = design.ranking
  return withRanking(design, {
    order: { ...order, withWords: keys(order.withWords), withoutWords: keys(order.withoutWords) },
  })
}

export const EDGES: readonly { value: TierLooks['edge']; label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'fine', label: 'Fine' },
  { value: 'clear', label: 'Clear' },
  { value: 'strong', label: 'Strong' },
]

/** What a tier's cards look like, in one line. */
export function looksSaid(looks: TierLooks): string {
  const edge = EDGES.find(one => one.value === looks.edge)?.label.toLowerCase()
  return [
    looks.ribbon ? `ribbon “${looks.ribbon.text}”` : '',
    looks.edge === 'none' ? '' : `${edge} edge`,
    looks.ground === null ? '' : 'ground of its own',
    looks.corners === null ? '' : `corners of ${looks.corners} px`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** A rule of who holds a tier, in words. */
export function ruleSaid({ collection, rule }: TierHolders, collections: readonly CollectionShape[]): string {
  const field = collections.flatMap(one => one.fields).find(one => one.key === rule.field)
  const where = collections.find(one => one.key === collection)?.label ?? collection ?? 'All'
  if (rule.field !== null) return `${where} · ${field?.label ?? rule.field}: ${rule.value?.split('/').join(' › ')}`
  if (rule.author !== null) return `${where} · Author: ${rule.author}`
  return rule.item !== null ? `${where} · Item: ${rule.item}` : `${where} · Address: ${rule.address}`
}

/** What a tier does, in one line. @param holders how many items hold it today; undefined while nobody knows */
export function tierSaid(tier: Tier, holders: number | undefined): string {
  const lifts = tier.lift === null ? 'only marks' : tier.lift.most === null ? 'lifts all' : `lifts ${tier.lift.most}`
  return [lifts, tier.disclosure !== null ? 'paid' : '', holders === undefined ? '…' : counted(holders, 'item')]
    .filter(Boolean)
    .join(' · ')
}

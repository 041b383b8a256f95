import type { Hit, TierFace } from '../../shared/contract'

/** How a card or row is drawn whose item holds a featured tier; undefined for one that holds none. */
export interface TierLook {
  tier: TierFace
  part: string
  classes: string[]
}

/** By classes, whose colours come with the look of the search. */
export function tierLook(hit: Hit, tiers: readonly TierFace[]): TierLook | undefined {
  const tier = tiers.find(one => one.key === hit.tier)
  if (!tier) return undefined
  return {
    tier,
    part: ` featured tier-${tier.key}`,
    classes: ['tiered', `tier-${tier.key}`, `edge-${tier.looks.edge}`],
  }
}

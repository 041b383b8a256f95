import type { Hit, TierFace } from '../../shared/contract'

/** How a card or row is drawn whose item holds a featured tier; undefined for one that holds none. */
export interface TierLook {
  tier: TierFace
  part: string
  edge: string
  styles: Record<string, string>
}

/**
 * By custom properties: they are set through the style object, which a site's strict `style-src` allows, and its own
 * CSS may overrule what they give.
 */
export function tierLook(hit: Hit, tiers: readonly TierFace[]): TierLook | undefined {
  const tier = tiers.find(one => one.key === hit.tier)
  if (!tier) return undefined
  const { looks } = tier
  const styles: Record<string, string> = { '--tier-edge': looks.edgeColor }
  if (looks.ground !== null) styles['--tier-ground'] = looks.ground
  if (looks.corners !== null) styles['--tier-corners'] = `${looks.corners}px`
  if (looks.ribbon)
    Object.assign(styles, { '--ribbon-text': looks.ribbon.color, '--ribbon-ground': looks.ribbon.ground })
  return { tier, part: ` featured tier-${tier.key}`, edge: `edge-${looks.edge}`, styles }
}

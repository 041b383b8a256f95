import type { TierFace } from '../../shared/contract'
import { lateStyle } from '../look/lateStyle'

const style = lateStyle(() => import('./tiers.css?inline'))

/** Brings the style of featured results into the shadow. */
export const useTierStyle = style.use

/** An answer, once its featured results can be drawn as such; most searches have none. */
export async function withTierStyle<Answer extends { tiers: readonly TierFace[] }>(answer: Answer): Promise<Answer> {
  if (answer.tiers.length > 0) await style.load()
  return answer
}

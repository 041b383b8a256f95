import type { Hit } from '../../shared/contract'
import { safeAddress } from '../../shared/http'

/** A picture that can be looked at large. */
export interface ViewedPicture {
  hit: Hit
  address: string
  /** What it shows; what it is a picture of where nobody says more. */
  alternative: string
}

/** The picture on a result's card; null for one without. */
export function pictureOf(hit: Hit): ViewedPicture | null {
  const value = hit.card.find(one => one.as === 'picture')
  const address = safeAddress(value?.value)
  if (!value || address === null) return null
  return { hit, address, alternative: value.text.map(run => run.text).join('') || hit.title }
}

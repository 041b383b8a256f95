import type { CardFace, Hit } from '../../shared/contract'

/** The card of a result, among those that came with the answer. */
export const cardOf = (hit: Hit, cards: readonly CardFace[]) =>
  cards.find(card => card.collections.includes(hit.collection))

import type { CardPart, Hit } from '../../shared/contract'

/** The parts of a result's card by their names; what it has no value for is missing. */
export const partsOf = (hit: Hit) =>
  Object.fromEntries(hit.card.map(part => [part.part, part])) as Partial<Record<CardPart['part'], CardPart>>

/** What visitors read in a part, without its marks. */
export const textOf = (part: CardPart | undefined) => part?.text.map(run => run.text).join('') ?? ''

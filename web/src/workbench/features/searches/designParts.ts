import type { SearchDesign } from '../../../shared/contract'

/** With another order, other tiers or pins. */
export const withRanking = (design: SearchDesign, changed: Partial<SearchDesign['ranking']>): SearchDesign => ({
  ...design,
  ranking: { ...design.ranking, ...changed },
})

/** With another box, other live results or another page. */
export const withPlaces = (design: SearchDesign, changed: Partial<SearchDesign['places']>): SearchDesign => ({
  ...design,
  places: { ...design.places, ...changed },
})

/** With other cards, another look or other texts. */
export const withAppearance = (design: SearchDesign, changed: Partial<SearchDesign['appearance']>): SearchDesign => ({
  ...design,
  appearance: { ...design.appearance, ...changed },
})

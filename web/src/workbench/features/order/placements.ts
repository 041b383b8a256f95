import type { PlacementShape } from '../../../shared/contract'

/** Where in its tier something stands, and on which days; null for no limit. */
export type When = Pick<PlacementShape, 'place' | 'from' | 'until'>

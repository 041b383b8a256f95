import type { InjectionKey } from 'vue'
import type { FilterValue } from '../shared/contract'

export type WantedValues = { below: string, page: string } | { named: string }
/** A page of what lies below a value has so many; where it has fewer there is no other. */
export const VALUES_ON_A_PAGE = 500
/** Of those with some letters so many come. */
export const MOST_NAMED = 50

/** Asks the service for values of a filter that did not come with the answer. */
export interface MoreValues {
  /** Changes whenever other numbers hold. */
  readonly state: () => unknown
  /** Those right below a value, a page at a time, or with letters in their names. */
  load: (filter: string, wanted: WantedValues) => Promise<readonly FilterValue[]>
}
export const MORE_VALUES: InjectionKey<MoreValues> = Symbol('more values')

import type { InjectionKey } from 'vue'
import type { FilterValue } from '../shared/contract'

/** Asks the service for values of a filter that did not come with the answer. */
export interface MoreValues {
  /** Changes whenever other numbers hold. */
  readonly state: () => unknown
  /** Those right below a value, or with letters in their names. */
  load: (filter: string, wanted: { below: string } | { named: string }) => Promise<readonly FilterValue[]>
}
export const MORE_VALUES: InjectionKey<MoreValues> = Symbol('more values')

import { provide, type InjectionKey } from 'vue'
import type { FilterValue } from '../../shared/contract'
import { fetchValues, type Source } from '../service'
import type { FilterChoice } from './useFilterChoice'

export type WantedValues = { below: string; page: string } | { named: string }
/** A page of values, and whether there is another behind it. */
export interface ValuesPage {
  readonly values: readonly FilterValue[]
  readonly goesOn: boolean
}

/** Asks the service for values of a filter that did not come with the answer. */
export interface MoreValues {
  /** Changes whenever other numbers hold. */
  readonly state: () => unknown
  /** Those right below a value, a page at a time, or with letters in their names. */
  load: (filter: string, wanted: WantedValues) => Promise<ValuesPage>
}
export const MORE_VALUES: InjectionKey<MoreValues> = Symbol('more values')

/** Has the filters of an element ask for more of their values, under the query and with what is chosen there. */
export function provideMoreValues(search: string, source: Source, query: () => string, choice: FilterChoice): void {
  provide(MORE_VALUES, {
    state: () => choice.filters.value,
    load: (filter, wanted) => fetchValues(search, source, query(), choice.chosen.value, filter, wanted),
  })
}

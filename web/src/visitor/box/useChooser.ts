import { computed, type ComputedRef } from 'vue'
import { useLatest } from '../../shared/useLatest'
import { flattened } from '../filters/filterState'
import type { FilterChoice } from '../filters/useFilterChoice'
import type { SearchState } from '../searchState'
import type { BoxChoice } from './Field'
import { fetchResults, type Source } from '../service'

/** By this name what is chosen in the box stands in the address. */
const KEY = 'in'

/**
 * What can be chosen in a box: all that there is, whatever is typed, since a choice is often made first.
 *
 * @param offered whether anything can be
 * @param choice of all that is set beside the words
 */
export function useChooser(
  search: string,
  source: Source,
  state: SearchState,
  offered: () => boolean,
  choice: FilterChoice,
): ComputedRef<BoxChoice | null> {
  const all = useLatest(
    () => (search && offered() ? { revision: state.revision } : null),
    ({ revision }, signal) => fetchResults(search, source, { query: '', page: 1, filters: {} }, revision, signal),
  )
  return computed(() => {
    const filter = all.value.value?.filters.find(one => one.key === KEY)
    if (!filter) return null
    return {
      values: flattened(filter.values)
        .filter(one => one.count > 0)
        .map(one => ({ value: one.value, label: '\u2003'.repeat(one.level) + one.label })),
      chosen: choice.chosen.value[KEY]?.[0] ?? '',
      choose: value => choice.put({ [KEY]: value === '' ? [] : [value] }),
    }
  })
}

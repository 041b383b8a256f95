import { computed, type Ref } from 'vue'
import type { Results } from '../../shared/contract'
import type { SearchState } from '../searchState'
import type { Source } from '../service'
import { useRoom } from '../useRoom'
import { valuesIn } from './filterState'
import { useFilterChoice } from './useFilterChoice'

/**
 * The filters beside and above the results.
 *
 * @param whole what the results stand in, whose width says where there is room
 */
export function usePageFilters(
  search: string,
  source: Source,
  state: SearchState,
  answer: () => Results | null,
  whole: Ref<HTMLElement | undefined>,
) {
  const place = computed(() => answer()?.filterPlaces.page ?? null)
  const opened = computed(() => place.value?.opened ?? 'in-view')
  const atOnce = computed(() => place.value?.atOnce ?? true)
  const choiceThat = (holdsAtOnce: () => boolean) =>
    useFilterChoice(search, source, state, () => state.query, answer, holdsAtOnce)
  const choice = choiceThat(() => atOnce.value)
  /** What holds, whatever is being chosen: chips go at once. */
  const holding = choiceThat(() => true)
  const isNarrow = useRoom(whole)
  /** Those for the room there is; what is set in the others holds all the same. */
  const here = computed(() =>
    place.value?.shown
      ? choice.filters.value.filter(
          filter =>
            filter.offers && filter.shown.page !== 'nowhere' && filter.devices !== (isNarrow.value ? 'wide' : 'narrow'),
        )
      : [],
  )
  /** Behind a button they all stand together, and where there is no room. */
  const areTogether = computed(() => isNarrow.value || opened.value !== 'in-view')
  return {
    choice,
    holding,
    opened,
    atOnce,
    isNarrow,
    areTogether,
    atSide: computed(() => (areTogether.value ? [] : here.value.filter(filter => filter.shown.page === 'side'))),
    onTop: computed(() => (areTogether.value ? here.value : here.value.filter(filter => filter.shown.page === 'top'))),
    isAnySet: computed(
      () => holding.changed.value || holding.filters.value.some(filter => valuesIn(filter).length > 0),
    ),
  }
}

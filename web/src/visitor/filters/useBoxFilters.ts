import { computed, type Ref } from 'vue'
import type { SearchFace } from '../../shared/contract'
import { late } from '../../shared/late'
import { areResultsHere, type SearchState } from '../searchState'
import type { Source } from '../service'
import { useRoom } from '../useRoom'
import { useFilterChoice } from './useFilterChoice'

const filterGroup = late(() => import('./FilterGroup.vue').then(one => one.default))

/**
 * The filters beside a search box.
 *
 * @param query the words in the box
 * @param pauseMs before numbers are asked for, where every letter typed changes them
 * @param whole what the box stands in, whose width says where there is room
 */
export function useBoxFilters(
  search: string,
  source: Source,
  state: SearchState,
  face: () => SearchFace | null,
  query: () => string,
  pauseMs: number,
  whole: Ref<HTMLElement | undefined>,
) {
  const place = computed(() => face()?.filterPlaces.box ?? null)
  const areWanted = computed(() => face()?.filtersInBox ?? false)
  /** Without results on the page there is nothing that a choice could hold for at once: it goes with the words. */
  const atOnce = computed(() => areResultsHere(state) && (place.value?.atOnce ?? true))
  const choice = useFilterChoice(
    search,
    source,
    state,
    query,
    null,
    () => atOnce.value,
    () => areWanted.value,
    pauseMs,
  )
  const isNarrow = useRoom(whole)
  const shown = computed(() =>
    areWanted.value
      ? choice.filters.value.filter(
          filter => filter.offers && filter.shown.box && filter.devices !== (isNarrow.value ? 'wide' : 'narrow'),
        )
      : [],
  )
  return {
    choice,
    atOnce,
    isNarrow,
    opened: computed(() => place.value?.opened ?? 'in-view'),
    shown,
    /** What draws them; nothing where there are none, and until its script has come. */
    group: computed(() => (shown.value.length > 0 ? filterGroup.wanted() : undefined)),
  }
}

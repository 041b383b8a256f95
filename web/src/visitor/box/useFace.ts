import { computed, watch } from 'vue'
import { useLatest } from '../../shared/useLatest'
import { ledTo } from '../ledTo'
import type { SearchState } from '../searchState'
import { fetchFace, type Source } from '../service'

const USUAL_FEWEST_LETTERS = 2

/**
 * What a box needs to be drawn, as its owner has it.
 *
 * @param page the results page that its tag names; empty for the search's
 */
export function useFace(search: string, source: Source, state: SearchState, page: string) {
  const latest = useLatest(
    () => (search ? { search, source, revision: state.revision } : null),
    async wanted => ledTo(page, await fetchFace(wanted.search, wanted.source, wanted.revision)),
  )
  watch(latest, now => {
    if (now.value) state.inAddress = now.value.inAddress
  })
  const face = () => latest.value.value
  return {
    face,
    /** Whether it is known what stands there, or known that nobody can tell. */
    isKnown: computed(() => latest.value.kind !== 'loading' || face() !== null),
    list: computed(() => face()?.live ?? null),
    fewestLetters: () => face()?.fewestLetters ?? USUAL_FEWEST_LETTERS,
  }
}

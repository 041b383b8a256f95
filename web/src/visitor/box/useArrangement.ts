import { computed, onBeforeUnmount, ref, watch, type ComputedRef } from 'vue'
import type { ArrangementFace, SearchFace } from '../../shared/contract'

/** A magnifying glass (of the npm package `@mdi/js`), until it is known what the owner has chosen. */
const MAGNIFIER =
  'M9.5,3A6.5,6.5 0 0,1 16,9.5C16,11.11 15.41,12.59 14.44,13.73L14.71,14H15.5L20.5,19L19,20.5L14,15.5V14.71L13.73,14.44C12.59,15.41 11.11,16 9.5,16A6.5,6.5 0 0,1 3,9.5A6.5,6.5 0 0,1 9.5,3M9.5,5C7,5 5,7 5,9.5C5,12 7,14 9.5,14C12,14 14,12 14,9.5C14,7 12,5 9.5,5Z'

const USUAL: ArrangementFace = {
  opening: 'always',
  heading: false,
  label: false,
  placeholder: false,
  shows: 'sign',
  side: 'end',
  sign: MAGNIFIER,
  signSize: 20,
  clear: 'inside',
}

/** What stands in the box and how it opens, on a page as wide as this. */
export function useArrangement(face: () => SearchFace | null): ComputedRef<ArrangementFace> {
  const isNarrow = ref(false)
  let ends = new AbortController()
  watch(
    () => face()?.box.narrowUpTo ?? 0,
    upTo => {
      ends.abort()
      ends = new AbortController()
      const narrow = matchMedia(`(max-width: ${upTo}px)`)
      isNarrow.value = narrow.matches
      narrow.addEventListener('change', () => (isNarrow.value = narrow.matches), { signal: ends.signal })
    },
    { immediate: true },
  )
  onBeforeUnmount(() => ends.abort())
  return computed(() => {
    const box = face()?.box
    return box ? (isNarrow.value ? box.narrow : box.wide) : USUAL
  })
}

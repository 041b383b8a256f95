import { watch, type Ref } from 'vue'
import { letters } from '../live/useLiveResults'
import { areResultsHere, show, type SearchState } from '../searchState'

/**
 * Has the list on the same page follow what is typed, and the box what is shown there. One step back in the browser's history leads to what was shown
 * before the typing began.
 *
 * @param text as it stands in the box
 * @param isWanted whether the owner wants that
 * @param fewestLetters below which the starting list stands
 * @param pauseMs after the last letter
 * @returns called when somebody asks, or turns away: what they type next is a step of its own
 */
export function useListRefresh(
  state: SearchState,
  text: Ref<string>,
  isWanted: () => boolean,
  fewestLetters: () => number,
  pauseMs: () => number,
): () => void {
  let isTyping = false
  watch(
    [text, isWanted] as const,
    ([now, isFollowed], _before, onCleanup) => {
      const query = letters(now) < fewestLetters() ? '' : now.trim()
      if (!isFollowed || !areResultsHere(state) || query === state.query) return
      const timer = setTimeout(() => {
        show(state, query, 1, state.filters, isTyping ? 'same' : 'new')
        isTyping = true
      }, pauseMs())
      onCleanup(() => clearTimeout(timer))
    },
    // Somebody may have typed while the box was at rest.
    { immediate: true },
  )
  watch(
    () => state.query,
    now => {
      // What the list follows is what stands here already, or the beginning of it.
      if (!(isWanted() && (now === '' || now === text.value.trim()))) text.value = now
    },
  )
  return () => {
    isTyping = false
  }
}

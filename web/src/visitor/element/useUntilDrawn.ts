import { nextTick, watch } from 'vue'
import { useRoot } from './draw'
import { UNTIL_DRAWN } from './untilDrawn'

/**
 * Takes away what showed until now, once an element is drawn.
 *
 * @param onDrawn told just after, with what in it had the focus
 */
export function useUntilDrawn(isDrawn: () => boolean, onDrawn: (active: Element | null) => void = () => {}): void {
  const root = useRoot()
  let isTold = false
  watch(
    isDrawn,
    now => {
      if (!now || isTold) return
      isTold = true
      // Once all that was drawn stands there: something of what showed until now may have moved into it.
      void nextTick(() => {
        const active = root.activeElement
        root.querySelector(`.${UNTIL_DRAWN}`)?.remove()
        onDrawn(active)
      })
    },
    { immediate: true, flush: 'post' },
  )
}

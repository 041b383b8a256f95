import { useShadowRoot, watch } from 'vue'

/** What an element holds on the page shows through this slot of its shadow until it is drawn, so that nothing jumps. */
const UNTIL_DRAWN = 'until-drawn'

/** Has what an element holds on the page show until {@link useUntilDrawn} takes it away. */
export function showUntilDrawn(root: ShadowRoot): void {
  const slot = document.createElement('slot')
  slot.className = UNTIL_DRAWN
  root.append(slot)
}

/**
 * Takes away what showed until now, once an element is drawn.
 *
 * @param onDrawn told just before
 */
export function useUntilDrawn(isDrawn: () => boolean, onDrawn: () => void = () => {}): void {
  const root = useShadowRoot()
  watch(
    isDrawn,
    now => {
      const slot = root?.querySelector(`slot.${UNTIL_DRAWN}`)
      if (!now || !slot) return
      onDrawn()
      slot.remove()
    },
    { immediate: true, flush: 'post' },
  )
}

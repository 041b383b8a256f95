import { nextTick, onBeforeUnmount, onMounted } from 'vue'
import { useElement } from '../element/draw'

/**
 * Closes what a box has open once visitors turn to something else on the page.
 *
 * @returns what listens where the focus goes out
 */
export function useLeaving(close: () => void): (event: FocusEvent) => Promise<void> {
  const element = useElement()
  const pressed = (event: Event) => {
    if (!event.composedPath().includes(element)) close()
  }
  onMounted(() => document.addEventListener('pointerdown', pressed))
  onBeforeUnmount(() => document.removeEventListener('pointerdown', pressed))
  return async event => {
    const box = event.currentTarget as HTMLElement
    // Scripts and assistive technology may take the focus away and give it back at once.
    await nextTick()
    if (!box.matches(':focus-within')) close()
  }
}

/** The page's window is told, with the search's key, that something else of a search is shown than before. */
export const SHOWN = 'tidy-lantern-shown'

/**
 * Calls once an element comes within a screen of what is in view, or its search is asked something: what stands far
 * below is not fetched for those who never get there. One that has no place on the page at all is called for at once,
 * since what hides it may wait for its events.
 *
 * @param search the key of the element's search
 * @returns ends the waiting
 */
export function whenNear(element: Element, search: () => string, call: () => void): () => void {
  const rectangles = element.getClientRects()
  const top = rectangles[0]?.top ?? 0
  const bottom = rectangles[0]?.bottom ?? 0
  if (top < 2 * innerHeight && bottom > -innerHeight) {
    call()
    return () => {}
  }
  const end = () => {
    near.disconnect()
    removeEventListener(SHOWN, asked)
  }
  const callOnce = () => {
    end()
    call()
  }
  const near = new IntersectionObserver(
    entries => {
      if (entries.some(entry => entry.isIntersecting)) callOnce()
    },
    { rootMargin: '100%' },
  )
  const asked = (event: Event) => {
    if ((event as CustomEvent<string>).detail === search()) callOnce()
  }
  near.observe(element)
  addEventListener(SHOWN, asked)
  return end
}

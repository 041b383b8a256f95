import { useEventListener } from '@vueuse/core'
import { shallowRef, type ShallowRef } from 'vue'

/** Where a dragged part would come to stand: beside another one of the same card. */
export interface Drop {
  part: string
  after: boolean
  /** Whether the parts there stand beside one another, and not below. */
  across: boolean
}

const PARTS = '[data-part]'
/** Less is the hand of somebody who clicks. */
const FARTHEST_CLICK_PX = 6

/**
 * Lets parts of a specimen be dragged, with the mouse, a pen or a finger; Escape leaves them where they are.
 *
 * @param inside the stage's document, once it is there
 * @param root where its cards are
 * @param moved what is to be done once a part was let go beside another one
 */
export function usePartDragging(
  inside: ShallowRef<Document | null>,
  root: () => ShadowRoot | null,
  moved: (event: PointerEvent, part: string, drop: Drop) => void,
) {
  const drop = shallowRef<Drop | null>(null)
  let held: { part: HTMLElement; x: number; y: number; isDragged: boolean } | null = null
  /** The click that ends a drag is none. */
  let isClickOver = false

  const partIn = (event: Event) =>
    event
      .composedPath()
      .filter((one): one is HTMLElement => 'dataset' in one)
      .find(one => one.dataset.part !== undefined)

  function letGo() {
    held = null
    drop.value = null
  }
  function dropAt(x: number, y: number): Drop | null {
    const dragged = held?.part
    const card = dragged?.closest('.card-body')
    const target = root()?.elementFromPoint(x, y)?.closest<HTMLElement>(PARTS)
    if (!dragged || !target || target === card || !card?.contains(target) || dragged.contains(target)) return null
    const group = target.parentElement!
    const across = group.classList.contains('in-row')
    const { left, top, width, height } = target.getBoundingClientRect()
    const isBehind = across ? x > left + width / 2 : y > top + height / 2
    const isTurned = across && getComputedStyle(group).direction === 'rtl'
    return { part: target.dataset.part!, after: isBehind !== isTurned, across }
  }

  useEventListener(inside, 'pointerdown', (event: PointerEvent) => {
    const part = partIn(event)
    isClickOver = false
    if (event.button !== 0 || !part?.closest('.specimen') || part.classList.contains('card-body')) return
    held = { part, x: event.clientX, y: event.clientY, isDragged: false }
  })
  useEventListener(inside, 'pointermove', (event: PointerEvent) => {
    if (!held) return
    if (!held.isDragged) {
      if (Math.hypot(event.clientX - held.x, event.clientY - held.y) < FARTHEST_CLICK_PX) return
      held.isDragged = true
      held.part.setPointerCapture(event.pointerId)
    }
    drop.value = dropAt(event.clientX, event.clientY)
  })
  useEventListener(inside, 'pointerup', (event: PointerEvent) => {
    isClickOver = held?.isDragged ?? false
    if (held && drop.value) moved(event, held.part.dataset.part!, drop.value)
    letGo()
  })
  useEventListener(inside, 'pointercancel', letGo)
  useEventListener(inside, 'keydown', (event: KeyboardEvent) => {
    if (event.key === 'Escape') letGo()
  })
  // Pictures and links are dragged by browsers themselves.
  useEventListener(inside, 'dragstart', event => {
    if (partIn(event)?.closest('.specimen')) event.preventDefault()
  })
  return { drop, endsDrag: () => isClickOver }
}

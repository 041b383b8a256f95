import { watch } from 'vue'
import type { Filters } from '../address'
import { useUntilDrawn } from '../element/useUntilDrawn'
import type { RestingBox } from './RestingBox'
import type { useChoosing } from './useChoosing'
import type { useOpening } from './useOpening'

/** What the page's own script asks of a box, each time with another number. */
export interface AskedByScript {
  query: string
  filters: Filters | undefined
  number: number
}

/**
 * Has whoever turned to a box before it was awake go on in it, and the page's own script ask by it.
 *
 * @param isDrawn whether it stands there as it will be
 * @param put sets the words and what is set beside them
 */
export function useWaking(
  resting: RestingBox | null,
  isDrawn: () => boolean,
  opening: ReturnType<typeof useOpening>,
  choosing: ReturnType<typeof useChoosing>,
  submit: () => void,
  asked: () => AskedByScript | null,
  put: (asked: AskedByScript) => void,
) {
  let field = resting?.field ?? null
  /** It may show live results first. */
  function enter() {
    const pressed = new KeyboardEvent('keydown', { key: 'Enter', cancelable: true })
    choosing.key(pressed)
    if (!pressed.defaultPrevented) submit()
  }
  function goOn(active: Element | null) {
    if (!resting) return
    const isTyping = resting.field.goOn()
    if (resting.isFocusWanted) opening.focusWords()
    if (active?.classList.contains('opener')) opening.focusOpener()
    if (resting.wanted === 'submit') submit()
    else if (resting.wanted === 'enter') enter()
    else if (resting.wanted === 'open') void opening.toggle()
    else if (isTyping && resting.wanted === 'typed') choosing.typed()
  }
  useUntilDrawn(isDrawn, goOn)
  watch(
    asked,
    now => {
      if (!now) return
      put(now)
      submit()
    },
    { immediate: true },
  )
  /** The field that stood there before; null once it was taken, or where there was none. */
  const restingField = () => {
    const taken = field
    field = null
    return taken
  }
  return { restingField }
}

/** A list below a box, as the keys of the combobox pattern (WAI-ARIA Authoring Practices) go through it. */
export interface ListBelow {
  isShown: () => boolean
  open: () => void
  close: () => void
  /** How many rows there are. */
  size: () => number
  /** The row that Enter would choose; -1 for the typed text. */
  active: { value: number }
  /** Chooses that row; never asked for the typed text, whose Enter is the form's. */
  choose: () => void
  /** Takes the typed text away. */
  clear: () => void
}

/** Answers the keys of a box; the caret keeps Left, Right, Home and End. */
export function useListKeys(list: ListBelow): (event: KeyboardEvent) => void {
  function move(down: boolean) {
    if (!list.isShown()) {
      list.open()
      if (list.size() > 0) list.active.value = down ? 0 : list.size() - 1
    } else {
      // Past either end lies the typed text, at -1.
      const places = list.size() + 1
      list.active.value = ((list.active.value + 1 + (down ? 1 : -1) + places) % places) - 1
    }
  }
  function arrow(event: KeyboardEvent, down: boolean) {
    event.preventDefault()
    if (!event.altKey) move(down)
    else if (down) list.open()
    else list.close()
  }
  return event => {
    if (event.isComposing) return // the key belongs to the input method
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') arrow(event, event.key === 'ArrowDown')
    else if (event.key === 'Tab') list.close()
    else if (event.key === 'Enter' && list.isShown() && list.active.value >= 0) {
      event.preventDefault()
      list.choose()
    } else if (event.key === 'Escape') {
      event.preventDefault() // browsers would clear the text of a search field
      if (list.isShown()) list.close()
      else list.clear()
    }
  }
}

import { useEventListener, useLocalStorage } from '@vueuse/core'

/** Whether keys such as `/` act by themselves. WCAG 2.1.4: there must be a way to switch them off. */
export const singleKeys = useLocalStorage('tidy-lantern-single-keys', true, {
  serializer: { read: stored => stored !== 'off', write: on => (on ? 'on' : 'off') },
})

function typing(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      (/^(input|textarea|select)$/i.test(target.tagName) &&
        !/^(checkbox|radio|range|button)$/i.test((target as HTMLInputElement).type)))
  )
}

/**
 * Acts on keys pressed anywhere on the page, but not on those typed into a field.
 *
 * @param keys by name: `/`, `Ctrl+k`, `Ctrl+Shift+z`; a single key acts only while {@link singleKeys} are on
 */
export function useKeys(keys: Record<string, () => void>): void {
  function pressed(event: KeyboardEvent) {
    const held = event.ctrlKey || event.metaKey
    const name = `${held ? 'Ctrl+' : ''}${held && event.shiftKey ? 'Shift+' : ''}${held ? event.key.toLowerCase() : event.key}`
    const act = keys[name]
    if (!act || event.altKey || (!held && (!singleKeys.value || typing(event.target)))) return
    if (held && name !== 'Ctrl+k' && typing(event.target)) return // a text field has an undo of its own
    if (!held && document.querySelector('[role=dialog]')) return
    event.preventDefault()
    act()
  }
  useEventListener(document, 'keydown', pressed)
}

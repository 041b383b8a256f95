import { createApp, h, inject, shallowReactive, type Component, type InjectionKey } from 'vue'
import { OWN_CARDS, type OwnCards } from '../cards/useOwnCards'
import type { Given } from './TidyElement'

/** What is drawn in an element. */
export interface Drawn {
  /** Has the component take something else. */
  give: (name: string, value: unknown) => void
  end: () => void
}

const ELEMENT: InjectionKey<HTMLElement> = Symbol('element')
/** The element that something is drawn in. */
export function useElement(): HTMLElement {
  const element = inject(ELEMENT)
  if (!element) throw new Error('this is drawn in an element')
  return element
}
/** The shadow that something is drawn in. */
export const useRoot = (): ShadowRoot => useElement().shadowRoot!

/**
 * Draws a component in the shadow of an element, anew where that becomes another search's.
 *
 * @param own the page's own cards; null where it has none
 */
export function draw(
  element: HTMLElement,
  root: ShadowRoot,
  component: Component,
  given: Given,
  own: OwnCards | null,
): Drawn {
  const taken = shallowReactive<Given>({ ...given })
  const app = createApp({
    render: () => h(component, { ...taken, key: [taken.search, taken.source, taken['results-page']].join(' ') }),
  })
  app.config.errorHandler = error => console.error(`<${element.localName}>`, error)
  app.provide(ELEMENT, element)
  app.provide(OWN_CARDS, own)
  // It takes any node that has children; its types know elements alone.
  app.mount(root as unknown as Element)
  return {
    give: (name, value) => {
      taken[name] = value
    },
    end: () => app.unmount(),
  }
}

import { useEventListener } from '@vueuse/core'
import { watchEffect, ref, type ShallowRef } from 'vue'

/** A part of a card that was pointed at: its key, and whose results the card is for. */
export interface PickedPart {
  part: string
  collection: string
}

const PARTS = '[data-part]'

/** Stronger than what pointing does. */
const markOf = (part: string) => `.card [data-part="${CSS.escape(part)}"] {
    outline: 2px solid #0e5f63 !important;
    outline-offset: 3px !important;
  }`

/** Outlines parts of cards where the owner points, and the one that is being worked on. */
const marks = (chosen: string | null) => `
  .card ${PARTS} { cursor: pointer; }
  .card ${PARTS}:hover:not(:has(${PARTS}:hover)) { outline: 1px dashed #0e5f63; outline-offset: 2px; }
  ${chosen === null ? '' : markOf(chosen)}
  .card .title a::after { display: none; }
`

/**
 * Lets parts of cards be picked on the stage.
 *
 * @param inside the stage's document, once it is there
 */
export function usePartPicking(inside: ShallowRef<Document | null>) {
  const picked = ref<((part: PickedPart) => void) | null>(null)
  const chosen = ref<string | null>(null)
  let sheet: CSSStyleSheet | null = null

  const rootIn = (page: Document) => page.querySelector('tidy-results')?.shadowRoot ?? null
  function mark() {
    // Read before anything can be missing: whatever it is, the marks follow.
    const css = picked.value ? marks(chosen.value) : ''
    const page = inside.value
    const root = page && rootIn(page)
    const view = page?.defaultView
    if (!root || !view) return
    if (!sheet || !root.adoptedStyleSheets.includes(sheet)) {
      // A sheet belongs to the document that it is made for.
      sheet = new view.CSSStyleSheet()
      root.adoptedStyleSheets = [...root.adoptedStyleSheets, sheet]
    }
    sheet.replaceSync(css)
  }
  watchEffect(mark)
  useEventListener(
    inside,
    'click',
    event => {
      if (!picked.value) return
      const path = event.composedPath().filter((one): one is HTMLElement => 'dataset' in one)
      const part = path.find(one => one.dataset.part !== undefined)?.dataset.part
      const collection = path.find(one => one.dataset.collection !== undefined)?.dataset.collection
      if (part === undefined || collection === undefined) return
      event.preventDefault()
      event.stopPropagation()
      picked.value({ part, collection })
    },
    { capture: true },
  )
  return {
    mark,
    /** @param handler of what is picked; null once nothing is to be picked any more */
    pick: (handler: ((part: PickedPart) => void) | null) => {
      picked.value = handler
    },
    /** Marks the part that is being worked on; null for none. */
    choose: (part: string | null) => {
      chosen.value = part
    },
  }
}

export type PartPicking = ReturnType<typeof usePartPicking>

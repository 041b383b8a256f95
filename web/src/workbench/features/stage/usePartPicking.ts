import { useEventListener } from '@vueuse/core'
import { ref, watchEffect, type ShallowRef } from 'vue'
import type { Card } from '../../../shared/contract'
import { usePartDragging, type Drop } from './usePartDragging'

/** A part of a card that was pointed at: its key, and which card it is of. */
export interface PickedPart {
  part: string
  /** Whose results the card is for. */
  collection: string
  /** Where the card is drawn, if that is not where the results of a page are. */
  place: Card['place'] | null
}

/** What becomes of parts that are pointed at. */
interface Handlers {
  picked: (part: PickedPart) => void
  /** It was dragged beside another part of its card. */
  moved: (part: PickedPart, drop: Drop) => void
}

const PARTS = '[data-part]'
const CARDS = ':is(.card, .row)'
const partOf = (key: string) => `${CARDS} [data-part="${CSS.escape(key)}"]`

/** Outlines parts of cards where the owner points, and the one that is being worked on. */
const marks = (chosen: string | null) => `
  ${CARDS} ${PARTS} { cursor: pointer; }
  ${CARDS} ${PARTS}:hover:not(:has(${PARTS}:hover)) { outline: 1px dashed #0e5f63; outline-offset: 2px; }
  ${chosen === null ? '' : `${partOf(chosen)} { outline: 2px solid #0e5f63 !important; outline-offset: 3px !important; }`}
  ${CARDS} .title a::after { display: none; }
`
/** A line where a part would come to stand. */
function lineOf({ part, after, across }: Drop): string {
  const by = after ? '5px' : '-5px'
  return `${partOf(part)} { box-shadow: ${across ? `${by} 0` : `0 ${by}`} 0 -1px #e39a1e !important; }`
}

/**
 * Lets parts of cards be picked and moved on the stage.
 *
 * @param inside the stage's document, once it is there
 */
export function usePartPicking(inside: ShallowRef<Document | null>) {
  const handlers = ref<Handlers | null>(null)
  const chosen = ref<string | null>(null)
  let sheet: CSSStyleSheet | null = null

  const root = () => inside.value?.querySelector('tidy-results, tidy-specimens')?.shadowRoot ?? null
  const { drop, endsDrag } = usePartDragging(inside, root, (event, part, where) => {
    const picked = partAt(event)
    if (picked) handlers.value?.moved({ ...picked, part }, where)
  })
  function mark() {
    // Read before anything can be missing: whatever it is, the marks follow.
    const css = (handlers.value ? marks(chosen.value) : '') + (drop.value ? lineOf(drop.value) : '')
    const cards = root()
    const view = inside.value?.defaultView
    if (!cards || !view) return
    if (!sheet || !cards.adoptedStyleSheets.includes(sheet)) {
      // A sheet belongs to the document that it is made for.
      sheet = new view.CSSStyleSheet()
      cards.adoptedStyleSheets = [...cards.adoptedStyleSheets, sheet]
    }
    sheet.replaceSync(css)
  }
  watchEffect(mark)

  function partAt(event: Event): PickedPart | null {
    const path = event.composedPath().filter((one): one is HTMLElement => 'dataset' in one)
    const said = (name: string) => path.find(one => one.dataset[name] !== undefined)?.dataset[name]
    const [part, collection] = [said('part'), said('collection')]
    if (part === undefined || collection === undefined) return null
    return { part, collection, place: (said('place') as Card['place'] | undefined) ?? null }
  }
  useEventListener(
    inside,
    'click',
    event => {
      const picked = handlers.value && partAt(event)
      if (!picked) return
      event.preventDefault()
      event.stopPropagation()
      if (!endsDrag()) handlers.value?.picked(picked)
    },
    { capture: true },
  )
  return {
    mark,
    /** @param wanted what becomes of parts; null once nothing is to be picked any more */
    handle: (wanted: Handlers | null) => {
      handlers.value = wanted
    },
    /** Marks the part that is being worked on; null for none. */
    choose: (part: string | null) => {
      chosen.value = part
    },
  }
}

export type PartPicking = ReturnType<typeof usePartPicking>

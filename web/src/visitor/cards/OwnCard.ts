import { defineComponent, h, inject, onBeforeUnmount, provide, watchEffect, type InjectionKey } from 'vue'
import type { CardFace, Hit } from '../../shared/contract'
import { useElement } from '../element/draw'
import { filled, ownMarkupIn, type OwnMarkup } from './ownMarkup'

/** The element, and what it was given to draw cards with. */
export interface OwnCards {
  host: HTMLElement | null
  markup: readonly OwnMarkup[]
}
const OWN_CARDS: InjectionKey<OwnCards> = Symbol('own cards')

/** Has all that stands in an element draw its cards with the page's own markup, where there is some. */
export function provideOwnCards(): OwnCards {
  const host = useElement()
  const own = { host, markup: ownMarkupIn(host) }
  provide(OWN_CARDS, own)
  return own
}
export const useOwnCards = () => inject(OWN_CARDS, { host: null, markup: [] })

let made = 0

/** A card in the page's own markup. It stands in the page, by a slot, so that the page's own style reaches it. */
export const OwnCard = defineComponent({
  props: {
    hit: { type: Object as () => Hit, required: true },
    card: { type: Object as () => CardFace, required: true },
    own: { type: Object as () => OwnMarkup, required: true },
    isOption: { type: Boolean, default: false },
  },
  setup(props) {
    const { host } = useOwnCards()
    const name = `tidy-card-${++made}`
    const place = document.createElement('div')
    place.slot = name
    watchEffect(() => {
      place.replaceChildren(filled(props.own, props.hit, props.card, props.isOption))
      if (props.hit.tier) place.dataset.tidyTier = props.hit.tier
      else delete place.dataset.tidyTier
    })
    host?.append(place)
    onBeforeUnmount(() => place.remove())
    return () => h('slot', { name })
  },
})

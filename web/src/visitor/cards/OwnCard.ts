import { defineComponent, h, onBeforeUnmount, watchEffect } from 'vue'
import type { CardFace, Hit } from '../../shared/contract'
import { useElement } from '../element/draw'
import type { OwnCards } from './useOwnCards'
import { filled, markupFor, ownMarkupIn, type OwnMarkup } from './ownMarkup'

/** Has all that stands in an element draw its cards with the page's own markup. */
export function ownCardsIn(host: Element): OwnCards {
  const markup = ownMarkupIn(host)
  return { card: OwnCard, markupFor: hit => markupFor(hit, markup) }
}

let made = 0

/** A card in the page's own markup. It stands in the page, by a slot, so that the page's own style reaches it. */
const OwnCard = defineComponent({
  props: {
    hit: { type: Object as () => Hit, required: true },
    card: { type: Object as () => CardFace, required: true },
    own: { type: Object as () => OwnMarkup, required: true },
    isOption: { type: Boolean, default: false },
  },
  setup(props) {
    const host = useElement()
    const name = `tidy-card-${++made}`
    const place = document.createElement('div')
    place.slot = name
    watchEffect(() => {
      place.replaceChildren(filled(props.own, props.hit, props.card, props.isOption))
      if (props.hit.tier) place.dataset.tidyTier = props.hit.tier
      else delete place.dataset.tidyTier
    })
    host.append(place)
    onBeforeUnmount(() => place.remove())
    return () => h('slot', { name })
  },
})

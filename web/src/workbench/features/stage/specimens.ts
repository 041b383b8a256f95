import { defineCustomElement } from 'vue'
import type { Card } from '../../../shared/contract'
import TidySpecimens from './TidySpecimens.vue'

/** Whose card is composed, and where. */
export interface WantedSpecimen {
  /** Null for the card of all that have none of their own. */
  collection: string | null
  place: Card['place']
}

/** Defines the element that shows an owner one item on its card in every place. */
export function defineSpecimens(): void {
  customElements.define(
    'tidy-specimens',
    defineCustomElement(TidySpecimens as Parameters<typeof defineCustomElement>[0]),
  )
}

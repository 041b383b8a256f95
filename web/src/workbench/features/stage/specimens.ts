import { TidyElement } from '../../../visitor/element/TidyElement'
import type { Card } from '../../../shared/contract'

/** Whose card is composed, and where. */
export interface WantedSpecimen {
  /** Null for the card of all that have none of their own. */
  collection: string | null
  place: Card['place']
}

/** Shows an owner one item on its card in every place. */
class TidySpecimensElement extends TidyElement {
  static observedAttributes = ['search']

  protected override load() {
    return import('./TidySpecimens.vue').then(one => one.default)
  }

  set wanted(specimen: WantedSpecimen | null) {
    this.give('wanted', specimen)
  }
}

/** Defines the element that shows an owner one item on its card in every place. */
export function defineSpecimens(): void {
  customElements.define('tidy-specimens', TidySpecimensElement)
}

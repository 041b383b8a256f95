import { inject, type Component, type InjectionKey } from 'vue'
import type { Hit } from '../../shared/contract'
import type { OwnMarkup } from './ownMarkup'

/** Cards in the page's own markup, which an element was given. */
export interface OwnCards {
  /** What draws one. */
  card: Component
  /** The markup of a result's card; nothing where ours is drawn. */
  markupFor: (hit: Hit) => OwnMarkup | undefined
}
export const OWN_CARDS: InjectionKey<OwnCards | null> = Symbol('own cards')

/** The page's own cards, where the element around has some; they come with the script that only these need. */
export const useOwnCards = (): OwnCards | null => inject(OWN_CARDS, null)

import type { InjectionKey, Ref } from 'vue'
import type { CardChoices, Sign } from '../../../shared/contract'

/** What stands for the collections of a search, for parts of cards that show it. */
export interface CollectionSigns {
  /** All that can. */
  signs: Ref<CardChoices['signs']>
  of: (collection: string) => Sign
  choose: (collection: string, sign: Sign) => void
}
export const COLLECTION_SIGNS: InjectionKey<CollectionSigns> = Symbol('collection signs')

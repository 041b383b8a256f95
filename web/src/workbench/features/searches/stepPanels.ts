import FiltersStep from '../filters/FiltersStep.vue'
import GoLiveStep from '../go-live/GoLiveStep.vue'
import CardsStep from '../cards/CardsStep.vue'
import LiveStep from '../live-results/LiveStep.vue'
import OrderStep from '../order/OrderStep.vue'
import PageStep from '../results-page/PageStep.vue'
import BoxStep from '../search-box/BoxStep.vue'
import ReachStep from '../what-is-searched/ReachStep.vue'
import TrialsStep from '../trials/TrialsStep.vue'
import WordsStep from '../words/WordsStep.vue'
import type { ViewKey } from './steps'

/** What stands beside the stage in each step of a search. */
export const panels = {
  'what-is-searched': ReachStep,
  words: WordsStep,
  filters: FiltersStep,
  order: OrderStep,
  cards: CardsStep,
  'search-box': BoxStep,
  'live-results': LiveStep,
  'results-page': PageStep,
  'go-live': GoLiveStep,
  trials: TrialsStep,
} satisfies Record<ViewKey, unknown>

import type { InjectionKey, Ref } from 'vue'
import type { WantedSpecimen } from './specimens'
import type { PartPicking } from './usePartPicking'

/** What a step may ask of the stage beside it. */
export interface StageAccess {
  /** What is set on the stage, by the filters' keys. */
  ticked: () => Record<string, string[]>
  /** Lights a filter wherever it is drawn; null for none. */
  light: (filter: string | null) => void
  /** The parts of cards where they are drawn. */
  parts: PartPicking
  /** Shows the card that is composed, in every place; null once it is composed no more. */
  compose: (specimen: WantedSpecimen | null) => void
  /** Makes the page that the elements stand on light or dark. */
  ground: (shade: 'light' | 'dark') => void
  /** Has the elements answer from a version that was published; null for the draft again. */
  showVersion: (version: number | null) => void
  /** Has the elements ask again, since something changed that is no part of the draft. */
  refresh: () => void
}
/** Undefined before there is a stage. */
export const STAGE: InjectionKey<Readonly<Ref<StageAccess | undefined>>> = Symbol('stage')

import type { InjectionKey } from 'vue'
import type { PartPicking } from './usePartPicking'

/** What a step may ask of the stage beside it. */
export interface StageAccess {
  /** What is set on the stage, by the filters' keys. */
  set: () => Record<string, string[]>
  /** Lights a filter wherever it is drawn; null for none. */
  light: (filter: string | null) => void
  /** The parts of cards where they are drawn; undefined before there is a stage. */
  parts: () => PartPicking | undefined
  /** Makes the page that the elements stand on light or dark. */
  ground: (shade: 'light' | 'dark') => void
  /** Has the elements ask again, since something changed that is no part of the draft. */
  refresh: () => void
}
export const STAGE: InjectionKey<StageAccess> = Symbol('stage')

import type { InjectionKey } from 'vue'

/** What a step may ask of the stage beside it. */
export interface StageAccess {
  /** What is set on the stage, by the filters' keys. */
  set: () => Record<string, string[]>
  /** Lights a filter wherever it is drawn; null for none. */
  light: (filter: string | null) => void
  /** Makes the page that the elements stand on light or dark. */
  ground: (shade: 'light' | 'dark') => void
  /** Has the elements ask again, since something changed that is no part of the draft. */
  refresh: () => void
}
export const STAGE: InjectionKey<StageAccess> = Symbol('stage')

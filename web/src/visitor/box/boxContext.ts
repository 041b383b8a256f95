import type { ComputedRef, InjectionKey, Ref } from 'vue'
import type { ArrangementFace, LiveList } from '../../shared/contract'
import type { LiveRow } from '../live/liveRows'
import type { useLiveResults } from '../live/useLiveResults'
import type { BoxChoice, Field } from './Field'

/** What all that stands in one search box shares. */
export interface BoxContext {
  /** That the ids within it begin with. */
  id: string
  arrangement: ComputedRef<ArrangementFace>
  /** The words as they stand there. */
  text: Ref<string>
  /** What the words are called. */
  named: ComputedRef<string>
  placeholder: ComputedRef<string>
  chooser: ComputedRef<BoxChoice | null>
  /** The field that stood there before anybody turned to the box; null once it was taken, or where there was none. */
  restingField: () => Field | null
  live: ReturnType<typeof useLiveResults>
  /** How live results are laid out; null until it is known. */
  list: ComputedRef<LiveList | null>
  /** Where a result opens. */
  target: ComputedRef<string | undefined>
  /** Has what this visitor looked for before forgotten. */
  forget: () => void
  typed: () => void
  entered: () => void
  key: (event: KeyboardEvent) => void
  clear: () => void
  choose: (row: LiveRow, event?: Event) => void
}

export const BOX: InjectionKey<BoxContext> = Symbol('box')

import type { CollectionShape, ReachRule, Searched } from '../../../shared/contract'

/** The two kinds of rules: those that let in, and those that leave out. */
export type RulePart = 'only' | 'leaveOut'

export const RULE_PARTS: readonly { part: RulePart; which: 'only' | 'leave-out'; word: string }[] = [
  { part: 'only', which: 'only', word: 'Only' },
  { part: 'leaveOut', which: 'leave-out', word: 'Leave out' },
]

/** Items that an owner wants to see: of a collection, by whether they can be found or by a rule that takes them. */
export interface Listed {
  readonly collection: CollectionShape
  readonly which: 'found' | 'not-found' | 'only' | 'leave-out'
  /** The place of the rule among those of its kind. */
  readonly rule: number
  readonly title: string
}

/** With a collection searched or not, in the order of the site's. */
export function withSearched(
  now: readonly Searched[],
  key: string,
  isSearched: boolean,
  collections: readonly CollectionShape[],
): Searched[] {
  const wanted = isSearched
    ? [...now, { collection: key, only: [], leaveOut: [], sign: null }]
    : now.filter(one => one.collection !== key)
  const place = (one: Searched) => collections.findIndex(known => known.key === one.collection)
  return [...wanted].sort((a, b) => place(a) - place(b))
}

/** With one rule more; none is there twice. */
export const withRule = (rules: ReachRule[], rule: ReachRule): ReachRule[] =>
  rules.some(one => JSON.stringify(one) === JSON.stringify(rule)) ? rules : [...rules, rule]

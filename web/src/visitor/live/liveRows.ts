import type { Hit, LiveResults } from '../../shared/contract'
import { safeAddress } from '../../shared/http'

/** What can be chosen in the live results: a query to go on with, a result, or the results page. */
export interface LiveRow {
  readonly id: string
  readonly query: string | null
  readonly hit: Hit | null
  readonly address: string | null
}

/** Queries to go on with: the word at hand completed or, where nothing is found, another way to write it. */
export const queriesOf = (answer: LiveResults | null): readonly string[] =>
  answer?.didYouMean ? [answer.didYouMean] : (answer?.completions ?? [])

/**
 * The rows one below the other, as the arrow keys go through them.
 *
 * @param id that the box's own ids begin with
 * @param allAddress where all results are
 */
export function rowsOf(id: string, answer: LiveResults | null, allAddress: string): LiveRow[] {
  const asked = queriesOf(answer).map((query, n) => ({ id: `${id}-query-${n}`, query, hit: null, address: null }))
  const found = (answer?.groups ?? [])
    .flatMap(group => group.hits)
    .map((hit, n) => ({ id: `${id}-row-${n}`, query: null, hit, address: safeAddress(hit.url) }))
  return answer && answer.total > 0
    ? [...asked, ...found, { id: `${id}-all`, query: null, hit: null, address: allAddress }]
    : asked
}

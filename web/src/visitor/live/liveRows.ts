import type { Hit, LiveResults } from '../../shared/contract'
import { safeAddress } from '../../shared/http'

/** What can be chosen in the live results, one below the other. */
export type LiveRow = { readonly id: string; readonly address: string | null } & (
  | { readonly kind: 'query'; readonly query: string }
  | { readonly kind: 'hit'; readonly hit: Hit }
  /** Shows the rest of the results. */
  | { readonly kind: 'more'; readonly count: number }
  /** Leads to all results. */
  | { readonly kind: 'all' }
)

/** What decides which rows there are. */
export interface RowsShown {
  /** How many results show; the rest comes with 'more'. */
  first: number
  /** Whether the way to all results stands below. */
  all: boolean
  /** Where all results are. */
  allAddress: string
}

/** Queries to go on with: the word at hand completed or, where nothing is found, another way to write it. */
export const queriesOf = (answer: LiveResults | null): readonly string[] =>
  answer?.didYouMean ? [answer.didYouMean] : (answer?.completions ?? [])

/**
 * The rows one below the other, as the arrow keys go through them.
 *
 * @param id that the box's own ids begin with
 * @param recent what this visitor looked for before; offered before anything is typed
 */
export function rowsOf(
  id: string,
  answer: LiveResults | null,
  recent: readonly string[],
  { first, all, allAddress }: RowsShown,
): LiveRow[] {
  const queries = [...recent, ...queriesOf(answer)]
  const asked = queries.map((query, n): LiveRow => ({ kind: 'query', id: `${id}-query-${n}`, query, address: null }))
  const hits = (answer?.groups ?? []).flatMap(group => group.hits)
  const found = hits
    .slice(0, first)
    .map((hit, n): LiveRow => ({ kind: 'hit', id: `${id}-row-${n}`, hit, address: safeAddress(hit.url) }))
  const rest = hits.length - found.length
  return [
    ...asked,
    ...found,
    ...(rest > 0 ? [{ kind: 'more', id: `${id}-more`, count: rest, address: null } as const] : []),
    ...(all && answer && answer.total > 0 ? [{ kind: 'all', id: `${id}-all`, address: allAddress } as const] : []),
  ]
}

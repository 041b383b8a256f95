import type { Filter, FilterPlaces } from '../../../shared/contract'
import { moved } from '../../kit/moved'
import { joined, keyFrom, keysOf } from './filters'

/**
 * One row of the list: a filter that visitors meet, by itself or as a part of a joint one that stands apart just now.
 */
export interface FilterRow {
  readonly filter: Filter
  /** The place of the filter, or of the joint one that it is a part of. */
  readonly at: number
  /** Its place among the parts; null for a filter by itself. */
  readonly part: number | null
}

export const rowsOf = (filters: readonly Filter[]): FilterRow[] =>
  filters.flatMap((filter, at): FilterRow[] =>
    filter.joined?.apart
      ? filter.joined.parts.map((part, n) => ({ filter: part, at, part: n }))
      : [{ filter, at, part: null }],
  )

/** One that stands apart stays among its own. */
export const canMove = (from: FilterRow, to: FilterRow) => (from.part === null ? to.part === null : from.at === to.at)

/** With a row where another one is. */
export function withMoved(filters: readonly Filter[], from: FilterRow, to: FilterRow): Filter[] {
  const { part } = from
  if (part === null || to.part === null) return moved(filters, from.at, to.at)
  return filters.map((filter, n) =>
    n === from.at && filter.joined
      ? { ...filter, joined: { ...filter.joined, parts: moved(filter.joined.parts, part, to.part!) } }
      : filter,
  )
}

/** With a filter of the list, or one joined in it, changed; what waits for one that is renamed still does. */
export function withChanged(filters: readonly Filter[], key: string, change: (filter: Filter) => Filter): Filter[] {
  const renamed = new Map<string, string>()
  const one = (filter: Filter): Filter => {
    if (filter.key !== key) return filter
    const now = change(filter)
    if (now.key !== key) renamed.set(key, now.key)
    return now
  }
  return filters
    .map(one)
    .map(filter =>
      filter.joined ? { ...filter, joined: { ...filter.joined, parts: filter.joined.parts.map(one) } } : filter,
    )
    .map(filter =>
      filter.after !== null && renamed.has(filter.after) ? { ...filter, after: renamed.get(filter.after)! } : filter,
    )
}

/** Those that waited for one that goes show always. */
function withoutWaiting(some: Filter[]): Filter[] {
  const keys = keysOf(some)
  return some.map(filter =>
    filter.after !== null && !keys.includes(filter.after) ? { ...filter, after: null } : filter,
  )
}

/** A joint filter with other parts; of one alone there is nothing to join. */
const withParts = (filter: Filter, parts: Filter[]): Filter[] =>
  parts.length < 2 ? parts : [{ ...filter, joined: { ...filter.joined!, parts } }]

export function withoutRow(filters: readonly Filter[], row: FilterRow): Filter[] {
  const left = (filter: Filter) =>
    row.part === null || !filter.joined
      ? []
      : withParts(
          filter,
          filter.joined.parts.filter((_, n) => n !== row.part),
        )
  return withoutWaiting(filters.flatMap((filter, n) => (n === row.at ? left(filter) : [filter])))
}

/** With two filters joined, and the key of the joint one; null where one of them is gone. */
export function withJoined(
  filters: readonly Filter[],
  key: string,
  otherKey: string,
): { filters: Filter[]; key: string } | null {
  const filter = filters.find(one => one.key === key)
  const other = filters.find(one => one.key === otherKey)
  if (!filter || !other) return null
  const joint = joined(filter, other, keyFrom(filter.label, keysOf(filters)))
  return {
    filters: filters.filter(one => one.key !== otherKey).map(one => (one.key === key ? joint : one)),
    key: joint.key,
  }
}

/** With a joint filter's parts by themselves, or together again. */
export const withApart = (filters: readonly Filter[], key: string, apart: boolean): Filter[] =>
  withChanged(filters, key, filter => (filter.joined ? { ...filter, joined: { ...filter.joined, apart } } : filter))

/** With the parts of a joint filter for good by themselves. */
export const withForgotten = (filters: readonly Filter[], at: number): Filter[] =>
  withoutWaiting(filters.flatMap((filter, n) => (n === at && filter.joined ? filter.joined.parts : [filter])))

/** With every filter in a place, or none. */
export function withAllShown(filters: readonly Filter[], where: keyof FilterPlaces, shown: boolean): Filter[] {
  const onPage = (before: Filter['shown']['page']) => (!shown ? 'nowhere' : before === 'nowhere' ? 'side' : before)
  const set = (filter: Filter): Filter => ({
    ...filter,
    shown:
      where === 'page' ? { ...filter.shown, page: onPage(filter.shown.page) } : { ...filter.shown, [where]: shown },
  })
  return filters.map(filter =>
    filter.joined?.apart
      ? { ...filter, joined: { ...filter.joined, parts: filter.joined.parts.map(set) } }
      : set(filter),
  )
}

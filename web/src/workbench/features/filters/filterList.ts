import type { Filter, FilterPlaces, SourceOf } from '../../../shared/contract'
import { moved } from '../../kit/moved'
import { keysOf, partsOf } from './filters'

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
    filter.source.of === 'joint' && filter.source.apart
      ? filter.source.parts.map((part, n) => ({ filter: part, at, part: n }))
      : [{ filter, at, part: null }],
  )

/** A joint filter with other parts, or standing apart or together; one of a single field stays as it is. */
const withJoint = (filter: Filter, change: (joint: SourceOf<'joint'>) => SourceOf<'joint'>): Filter =>
  filter.source.of === 'joint' ? { ...filter, source: change(filter.source) } : filter

/** One that stands apart stays among its own. */
export const canMove = (from: FilterRow, to: FilterRow) => (from.part === null ? to.part === null : from.at === to.at)

/** With a row where another one is. */
export function withMoved(filters: readonly Filter[], from: FilterRow, to: FilterRow): Filter[] {
  const { part } = from
  if (part === null || to.part === null) return moved(filters, from.at, to.at)
  return filters.map((filter, n) =>
    n === from.at ? withJoint(filter, joint => ({ ...joint, parts: moved(joint.parts, part, to.part!) })) : filter,
  )
}

/** With a filter of the list, or one joined in it, changed; what waits for one that is renamed still does. */
export function withChanged(filters: readonly Filter[], key: string, change: (filter: Filter) => Filter): Filter[] {
  const renamed = new Map<string, string>()
  const one = (filter: Filter): Filter => {
    if (filter.head.key !== key) return filter
    const now = change(filter)
    if (now.head.key !== key) renamed.set(key, now.head.key)
    return now
  }
  return filters
    .map(one)
    .map(filter => withJoint(filter, joint => ({ ...joint, parts: joint.parts.map(one) })))
    .map(filter => {
      const after = renamed.get(filter.shown.after ?? '')
      return after === undefined ? filter : { ...filter, shown: { ...filter.shown, after } }
    })
}

/** Those that waited for one that goes show always. */
function withoutWaiting(some: Filter[]): Filter[] {
  const keys = keysOf(some)
  return some.map(filter =>
    filter.shown.after !== null && !keys.includes(filter.shown.after)
      ? { ...filter, shown: { ...filter.shown, after: null } }
      : filter,
  )
}

/** A joint filter with other parts; of one alone there is nothing to join. */
const withParts = (filter: Filter, parts: Filter[]): Filter[] =>
  parts.length < 2 ? parts : [withJoint(filter, joint => ({ ...joint, parts }))]

export function withoutRow(filters: readonly Filter[], row: FilterRow): Filter[] {
  const left = (filter: Filter) =>
    row.part === null
      ? []
      : withParts(
          filter,
          partsOf(filter).filter((_, n) => n !== row.part),
        )
  return withoutWaiting(filters.flatMap((filter, n) => (n === row.at ? left(filter) : [filter])))
}

/** With a joint filter in place of the first of the two that it is made of. */
export const withJoined = (filters: readonly Filter[], key: string, other: string, joint: Filter): Filter[] =>
  filters.filter(one => one.head.key !== other).map(one => (one.head.key === key ? joint : one))

/** With a joint filter's parts by themselves, or together again. */
export const withApart = (filters: readonly Filter[], key: string, apart: boolean): Filter[] =>
  withChanged(filters, key, filter => withJoint(filter, joint => ({ ...joint, apart })))

/** With the parts of a joint filter for good by themselves. */
export const withForgotten = (filters: readonly Filter[], at: number): Filter[] =>
  withoutWaiting(
    filters.flatMap((filter, n) => (n === at && filter.source.of === 'joint' ? filter.source.parts : [filter])),
  )

/** With every filter in a place, or none. */
export function withAllShown(filters: readonly Filter[], where: keyof FilterPlaces, shown: boolean): Filter[] {
  const onPage = (before: Filter['shown']['page']) => (!shown ? 'nowhere' : before === 'nowhere' ? 'side' : before)
  const set = (filter: Filter): Filter => ({
    ...filter,
    shown:
      where === 'page' ? { ...filter.shown, page: onPage(filter.shown.page) } : { ...filter.shown, [where]: shown },
  })
  return filters.map(filter =>
    filter.source.of === 'joint' && filter.source.apart
      ? withJoint(filter, joint => ({ ...joint, parts: joint.parts.map(set) }))
      : set(filter),
  )
}

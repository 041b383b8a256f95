import type { FilterShape, FilterValue } from '../../shared/contract'
import { language, say, written } from '../texts'

/** Something that is set: as the address has it, and as visitors read it where it stands alone. */
export interface SetValue {
  value: string
  label: string
}

/** A bound as visitors read it: days written out, numbers with their unit. */
export function boundSaid(filter: FilterShape, bound: string, unit = filter.unit): string {
  if (filter.control === 'span')
    return new Intl.DateTimeFormat(language(), { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(bound))
  return written(Number(bound)) + (unit ? ` ${unit}` : '')
}

function tickedIn(values: readonly FilterValue[]): SetValue[] {
  return values.flatMap(value => [
    ...(value.selected ? [{ value: value.value, label: value.label }] : []),
    ...tickedIn(value.children),
  ])
}

/**
 * What the address has to say for these values to hold in a filter: nothing at its start, an empty value for nothing at
 * all.
 */
export function parameterFor(filter: FilterShape, values: readonly string[]): string[] {
  return isStart(filter, values) ? [] : values.length === 0 ? [''] : [...values]
}

const isStart = (filter: FilterShape, values: readonly string[]) =>
  values.length === filter.start.length && values.every(value => filter.start.includes(value))
/** Whether what is set is what holds while a visitor has set nothing. */
export const isAtStart = (filter: FilterShape) => isStart(filter, valuesIn(filter))

/** The values as the address has them; what is set in bounds or a box stands alone. */
export const valuesIn = (filter: FilterShape): string[] => setIn(filter).map(one => one.value)

/** What is set in a filter. */
export function setIn(filter: FilterShape): SetValue[] {
  const named = (value: string, said: string) => [{ value, label: `${filter.label}: ${said}` }]
  if (filter.bounds) {
    const { from, to } = filter.bounds
    if (from === null && to === null) return []
    return named(
      `${from ?? ''}..${to ?? ''}`,
      boundsSaid(
        from === null ? '' : boundSaid(filter, from, to === null ? filter.unit : ''),
        to === null ? '' : boundSaid(filter, to),
      ),
    )
  }
  if (filter.control === 'box') return filter.text ? named(filter.text, filter.text) : []
  const ticked = tickedIn(filter.values)
  if (filter.around) return ticked.map(one => ({ value: one.value, label: withinSaid(one.label, filter.around!.name) }))
  // A bare "Yes" would tell nothing beside the others.
  return filter.control === 'switch' ||
    filter.control === 'ticks' ||
    filter.control === 'from-today' ||
    filter.control === 'bands'
    ? ticked.flatMap(one => named(one.value, one.label))
    : ticked
}

function boundsSaid(from: string, to: string): string {
  if (from === '') return say('setTo', { to })
  return to === '' ? say('setFrom', { from }) : say('setBetween', { from, to })
}

const withinSaid = (distance: string, place: string) =>
  place === '' ? say('within', { distance }) : say('withinOf', { distance, place })

/** The values of a tree one below the other, each with how deep it stands. */
export function flattened(values: readonly FilterValue[], level = 0): (FilterValue & { level: number })[] {
  return values.flatMap(value => [{ ...value, level }, ...flattened(value.children, level + 1)])
}

import type { FilterBounds, FilterShape, FilterValue } from '../../shared/contract'
import type { Texts } from '../texts'

/** Something that is set: as the address has it, and as visitors read it where it stands alone. */
export interface SetValue {
  value: string
  label: string
}

/** A bound as visitors read it: days written out, numbers with their unit. */
function boundSaid(filter: FilterShape, bound: string, texts: Texts, unit = filter.unit): string {
  if (filter.control === 'span') return texts.writtenDay(bound)
  return texts.written(Number(bound)) + (unit ? ` ${unit}` : '')
}

function tickedIn(values: readonly FilterValue[] = []): SetValue[] {
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
export function valuesIn(filter: FilterShape): string[] {
  if (filter.bounds) {
    const { from, to } = filter.bounds
    return from === null && to === null ? [] : [`${from ?? ''}..${to ?? ''}`]
  }
  if (filter.control === 'box') return filter.text ? [filter.text] : []
  return tickedIn(filter.values).map(one => one.value)
}

/** What is set in a filter, as it is read where it stands alone. */
export function setIn(filter: FilterShape, texts: Texts): SetValue[] {
  const ticked = tickedIn(filter.values)
  const { around } = filter
  if (around) return ticked.map(one => ({ ...one, label: withinSaid(one.label, around.name, texts) }))
  const alone = filter.bounds || filter.control === 'box'
  const said = filter.bounds ? boundsSaid(filter, filter.bounds, texts) : filter.text
  const set = alone ? valuesIn(filter).map(value => ({ value, label: said })) : ticked
  // A bare "Yes" would tell nothing beside the others.
  const needsName = alone || ['switch', 'ticks', 'from-today', 'bands'].includes(filter.control)
  return set.map(one => (needsName ? { ...one, label: `${filter.label}: ${one.label}` } : one))
}

function boundsSaid(filter: FilterShape, { from, to }: FilterBounds, texts: Texts): string {
  const last = to === null ? '' : boundSaid(filter, to, texts)
  if (from === null) return texts.say('setTo', { to: last })
  const first = boundSaid(filter, from, texts, to === null ? filter.unit : '')
  return to === null ? texts.say('setFrom', { from: first }) : texts.say('setBetween', { from: first, to: last })
}

const withinSaid = (distance: string, place: string, { say }: Texts) =>
  place === '' ? say('within', { distance }) : say('withinOf', { distance, place })

/** The values of a tree one below the other, each with how deep it stands. */
export function flattened(values: readonly FilterValue[] = [], level = 0): (FilterValue & { level: number })[] {
  return values.flatMap(value => [{ ...value, level }, ...flattened(value.children, level + 1)])
}

import type { FieldKind, Filter, DesignRules, FilterShape, FilterSource } from '../../../shared/contract'

export type Control = FilterShape['control']

export const CONTROL_NAMES: Record<Control, string> = {
  list: 'Values to tick',
  'one-of': 'One of a list',
  menu: 'One of a menu',
  chips: 'Values side by side',
  pictures: 'Pictures or colours',
  distance: 'How far from a place',
  range: 'Two bounds, drawn',
  bands: 'Steps',
  'at-least': 'A lower bound',
  'at-most': 'An upper bound',
  span: 'First and last day',
  months: 'Months',
  'from-today': 'Only from today',
  switch: 'Only those with a yes',
  ticks: 'Yes and no',
  box: 'A box for words',
}

/** What a source is handled with; words and distances leave no choice. */
export const controlOf = (source: FilterSource): Control =>
  source.of === 'word' ? 'box' : source.of === 'distance' ? 'distance' : source.control

/** The fields that a source draws on. */
export const fieldsOf = (source: FilterSource): string[] =>
  source.of === 'joint' ? source.parts.flatMap(part => fieldsOf(part.source)) : [source.field]

/** What is joined in a filter; nothing in one of a single field. */
export const partsOf = (filter: Filter): readonly Filter[] => (filter.source.of === 'joint' ? filter.source.parts : [])

/** What visitors meet: those joined together, and in place of those apart their parts. */
export const inUse = (filters: readonly Filter[]): Filter[] =>
  filters.flatMap(filter => (filter.source.of === 'joint' && filter.source.apart ? filter.source.parts : [filter]))

/** All names in addresses that are taken, of parts too. */
export const keysOf = (filters: readonly Filter[]): string[] =>
  filters.flatMap(filter => [filter.head.key, ...partsOf(filter).map(part => part.head.key)])

/** Whether a filter works over a field of a kind as it is; the kind may have changed since it was made. */
export const fitsKind = (filter: Filter, kind: FieldKind, rules: DesignRules): boolean =>
  filter.source.of === 'joint' || (rules.filters.controls[kind] ?? []).includes(controlOf(filter.source))

/** What is wrong with a filter's name in addresses; empty if nothing is. */
export function wrongWithKey(key: string, others: readonly string[], rules: DesignRules): string {
  const longest = rules.limits['filters.head.key']!.most
  if (!/^[a-z0-9][a-z0-9-]*$/.test(key) || key.length > longest)
    return `Small letters, digits and hyphens only, ${longest} at most.`
  if (rules.filters.taken.includes(key)) return 'The search itself uses this name.'
  return others.includes(key) ? 'Another filter has this name.' : ''
}

/** A name that no other filter has: the one that is wanted, or the same with a number behind it. */
export function freeKey(wanted: string, others: readonly string[], rules: DesignRules): string {
  const longest = rules.limits['filters.head.key']!.most
  const free = (key: string) => !others.includes(key) && !rules.filters.taken.includes(key)
  for (let n = 1; ; n++) {
    const ending = n === 1 ? '' : `-${n}`
    const key = wanted.slice(0, longest - ending.length) + ending
    if (free(key)) return key
  }
}

/**
 * Numbers that somebody typed with spaces or semicolons between them, or commas and a space; null where one of them is
 * none, or they do not go up.
 */
export function stepsFrom(text: string): number[] | null {
  const numbers = text
    .split(/[\s;]+|,\s+/)
    .filter(part => part !== '')
    .map(part => Number(part.replace(/,$/, '').replace(',', '.')))
  return numbers.every((number, n) => Number.isFinite(number) && (n === 0 || number > numbers[n - 1]!)) ? numbers : null
}

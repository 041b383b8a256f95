import type { FieldKind, Filter, FilterProposal } from '../../../shared/contract'

export type Control = NonNullable<Filter['control']>

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

/** What a category field, and a joint filter, can be handled with. */
export const CATEGORY_CONTROLS: readonly Control[] = ['list', 'one-of', 'menu', 'chips', 'pictures']

/** As many filters can be joined. */
export const MOST_PARTS = 12

/** A filter ready to use, made of what the content says. */
export function filterFrom(proposal: FilterProposal, key: string): Filter {
  return {
    key,
    label: proposal.label,
    help: '',
    field: proposal.field,
    control: proposal.control,
    except: [],
    picked: null,
    labels: {},
    several: 'any',
    order: proposal.control === 'chips' ? 'count' : 'name',
    tree: proposal.tree,
    counts: true,
    withoutResults: 'dim',
    cutAfter: 8,
    folded: false,
    unit: proposal.unit,
    bands: [],
    neutral: '',
    devices: 'all',
    after: null,
    values: { withBelow: true, merged: {}, depth: 0, searchFrom: 20, pictures: {} },
    start: { all: false, chosen: [] },
    shown: { page: 'side', box: false, home: false, narrowing: false, collections: [] },
    joined: null,
    radii: [1, 2, 5, 10, 25],
  }
}

/** Kinds whose values can stand in one list with those of other fields. */
export const isJoinable = (kind: FieldKind | undefined) => kind === 'category' || kind === 'yes-no'

/** A joint filter of two, or with one more; both keep all they have, for when they stand alone again. */
export function joined(filter: Filter, other: Filter, key: string): Filter {
  if (filter.joined) return { ...filter, joined: { ...filter.joined, parts: [...filter.joined.parts, other] } }
  return {
    ...filter,
    key,
    control: filter.control === 'switch' || filter.control === 'ticks' ? 'list' : filter.control,
    except: [],
    picked: null,
    labels: {},
    start: { all: false, chosen: [] },
    values: { ...filter.values, merged: {}, pictures: {} },
    joined: { parts: [filter, other], headings: true, apart: false },
  }
}

/** What visitors meet: those joined together, and in place of those apart their parts. */
export const inUse = (filters: readonly Filter[]): Filter[] =>
  filters.flatMap(filter => (filter.joined?.apart ? filter.joined.parts : [filter]))

/** All names in addresses that are taken, of parts too. */
export const keysOf = (filters: readonly Filter[]): string[] =>
  filters.flatMap(filter => [filter.key, ...(filter.joined?.parts.map(part => part.key) ?? [])])

/** More than this nobody scrolls through in a menu. */
const LONG_MENU = 100
/** A field that fewer items have takes almost everything away once a visitor sets it. */
const FEW = 0.05

/** What an owner should know about a filter as it is now. */
export function warningsOf(filter: Filter, proposal: FilterProposal | undefined, inReach: number): string[] {
  if (!proposal) return ['No item that can be found has a value, so visitors do not see it.']
  const warnings: string[] = []
  if (inReach > 0 && proposal.items / inReach < FEW)
    warnings.push(
      `Only ${Math.max(1, Math.round((100 * proposal.items) / inReach))} % of what is searched has a value; everything else drops out once it is set.`,
    )
  const values = filter.picked?.length ?? proposal.values
  if (filter.shown.page === 'nowhere' && !filter.shown.box && !filter.shown.home)
    warnings.push('It is shown in no place, so visitors cannot set it.')
  if (filter.control === 'menu' && values > LONG_MENU)
    warnings.push(`${values.toLocaleString()} values are too many for a menu. A list shows a few and more on demand.`)
  if (filter.picked?.length === 0) warnings.push('Nothing is picked yet, so visitors do not see it.')
  return warnings
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

/** Parameters of the search itself, which no filter may be called by. */
const TAKEN = ['q', 'page', 'order', 'near', 'place', 'within', 'below', 'named']
const LONGEST_KEY = 40

/** What is wrong with a filter's name in addresses; empty if nothing is. */
export function wrongWithKey(key: string, others: readonly string[]): string {
  if (!/^[a-z0-9][a-z0-9-]*$/.test(key) || key.length > LONGEST_KEY)
    return `Small letters, digits and hyphens only, ${LONGEST_KEY} at most.`
  if (TAKEN.includes(key)) return 'The search itself uses this name.'
  return others.includes(key) ? 'Another filter has this name.' : ''
}

/** A free name for a filter with this label. */
export function keyFrom(label: string, others: readonly string[]): string {
  const plain =
    label
      .normalize('NFD')
      .toLowerCase()
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, LONGEST_KEY - 4) || 'filter'
  for (let n = 1; ; n++) {
    const key = n === 1 ? plain : `${plain}-${n}`
    if (wrongWithKey(key, others) === '') return key
  }
}

import type { FieldKind, Filter, FilterProposal, FilterSource, FilterToday } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { CONTROL_NAMES, controlOf, partsOf } from './filters'

const CONTENTS: Partial<Record<FieldKind, string>> = {
  'yes-no': 'yes or no',
  text: 'words',
  code: 'codes',
  place: 'places',
}

const bound = (kind: FieldKind, value: string) =>
  kind === 'date'
    ? new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(value))
    : formatNumber(Number(value))

/** What stands behind a number; nothing behind what is none. */
const unitOf = (source: FilterSource) => (source.of === 'number' ? source.unit : '')

/** What a field holds: how many values, or from where to where, in the unit of a filter or else of the content. */
export function contentOf({ kind, says, filter }: FilterProposal, source = filter.source): string {
  if (kind === 'category') return `${counted(says.values, 'value')}${says.tree ? ' as a tree' : ''}`
  if (says.least === null) return CONTENTS[kind] ?? kind
  const unit = unitOf(source) || unitOf(filter.source)
  return `${bound(kind, says.least)} to ${bound(kind, says.greatest!)}${unit ? ` ${unit}` : ''}`
}

function valuesOf({ source }: Filter, proposal?: FilterProposal, today?: FilterToday): string {
  if ((source.of === 'category' || source.of === 'joint') && today) {
    const asTree = source.of === 'category' && proposal?.says.tree && source.offered.tree && !source.offered.picked
    return `${counted(today.figures.values, 'value')}${asTree ? ' as a tree' : ''}`
  }
  return proposal && source.of !== 'joint' ? contentOf(proposal, source) : ''
}

/** What a filter is, in one line: how it is handled, what it holds, in how many items, what is left out. */
export function lineOf(filter: Filter, proposal: FilterProposal | undefined, today: FilterToday | undefined): string {
  const parts = partsOf(filter)
  if (!proposal && parts.length === 0) return 'no item has a value'
  const left = today?.figures.leftOut
  return [
    CONTROL_NAMES[controlOf(filter.source)],
    parts.length > 0 ? `${parts.map(part => part.head.label).join(' and ')} together` : '',
    valuesOf(filter, proposal, today),
    counted(today?.figures.items ?? proposal?.says.items ?? 0, 'item'),
    left && left.values > 0 ? `${counted(left.values, 'value')} left out, in ${counted(left.items, 'item')}` : '',
  ]
    .filter(part => part !== '')
    .join(' · ')
}

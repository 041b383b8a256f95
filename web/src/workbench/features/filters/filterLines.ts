import type { FieldKind, Filter, FilterFigures, FilterProposal } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { CONTROL_NAMES, type Control } from './filters'

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

/** What a field holds: how many values, or from where to where. */
export function contentOf(proposal: FilterProposal): string {
  if (proposal.kind === 'category') return `${counted(proposal.values, 'value')}${proposal.tree ? ' as a tree' : ''}`
  if (proposal.least === null) return CONTENTS[proposal.kind] ?? proposal.kind
  const unit = proposal.unit ? ` ${proposal.unit}` : ''
  return `${bound(proposal.kind, proposal.least)} to ${bound(proposal.kind, proposal.greatest!)}${unit}`
}

function valuesOf(filter: Filter, kind: FieldKind, proposal?: FilterProposal, figure?: FilterFigures): string {
  if (kind === 'category' && figure) {
    const asTree = !filter.joined && proposal?.tree && filter.tree && !filter.picked
    return `${counted(figure.values, 'value')}${asTree ? ' as a tree' : ''}`
  }
  return proposal && !filter.joined ? contentOf(proposal) : ''
}

/** What a filter is, in one line: how it is handled, what it holds, in how many items, what is left out. */
export function lineOf(
  filter: Filter,
  control: Control | undefined,
  kind: FieldKind,
  proposal: FilterProposal | undefined,
  figure: FilterFigures | undefined,
): string {
  if (!proposal && !filter.joined) return 'no item has a value'
  const left = figure?.leftOut
  return [
    control ? CONTROL_NAMES[control] : '',
    filter.joined ? `${filter.joined.parts.map(part => part.label).join(' and ')} together` : '',
    valuesOf(filter, kind, proposal, figure),
    counted(figure?.items ?? proposal?.items ?? 0, 'item'),
    left && left.values > 0 ? `${counted(left.values, 'value')} left out, in ${counted(left.items, 'item')}` : '',
  ]
    .filter(part => part !== '')
    .join(' · ')
}

import type { SourceOf } from '../../../shared/contract'

type ValueList = SourceOf<'category'>['list']

/** In which order values stand. */
export const ORDERS: readonly { value: ValueList['order']; label: string }[] = [
  { value: 'name', label: 'By name' },
  { value: 'name-down', label: 'By name, last first' },
  { value: 'number', label: 'By the number in the name' },
  { value: 'count', label: 'Most items first' },
]

/** What becomes of values without results. */
export const WITHOUT: readonly { value: ValueList['withoutResults']; label: string }[] = [
  { value: 'dim', label: 'Greyed' },
  { value: 'hide', label: 'Not shown' },
  { value: 'found', label: 'Only of what is found' },
]

/** A choice as a sentence goes on with it. */
export const lowered = (options: readonly { value: string; label: string }[], value: string) =>
  options.find(one => one.value === value)?.label.toLowerCase() ?? ''

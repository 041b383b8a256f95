import type { CollectionShape, CountedValue } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'

/** The owner's filter of a table of items: by a value, by what is missing, or by a mark of the owner's. */
const KEPT_OUT = ':kept-out'
const WITHOUT = '!'

/** What the table can be filtered by, in groups. */
export const filterChoices = (collection: CollectionShape) =>
  [
    { label: 'No filter', items: [{ value: '', label: 'All items' }] },
    {
      label: 'By value',
      items: collection.fields
        .filter(field => field.kind === 'category' || field.kind === 'yes-no')
        .map(field => ({ value: field.key, label: `${field.label} is …` })),
    },
    {
      label: 'What is missing',
      items: collection.fields.map(field => ({
        value: `${WITHOUT}${field.key}`,
        label: `Without ${field.label.toLowerCase()}`,
      })),
    },
    { label: 'Marked', items: [{ value: KEPT_OUT, label: 'Kept out of search' }] },
  ].filter(group => group.items.length > 0)

/** What a filter is to the service, as parameters; none where nothing is filtered. */
export function filterParameters(filter: string, value: string): Record<string, string> {
  if (filter === KEPT_OUT) return { keptOut: 'true' }
  if (filter.startsWith(WITHOUT)) return { without: filter.slice(WITHOUT.length) }
  return filter && value ? { value: `${filter}:${value}` } : {}
}

export const YES_OR_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
]

/** Values of a category field to choose from, those below another further in. */
export const valueChoices = (values: readonly CountedValue[]) =>
  values.map(one => ({
    value: one.value,
    label: `${'  '.repeat(one.names.length - 1)}${one.names.at(-1)} (${formatNumber(one.count)})`,
  }))

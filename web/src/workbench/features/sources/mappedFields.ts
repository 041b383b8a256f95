import type { FieldKind, MappedField, Mapping } from '../../../shared/contract'

/** A name for a column's field as scripts use it, unlike those that are taken. */
function propertyOf(column: string, taken: readonly string[]): string {
  const words = column
    .replace(/^schema\./, '')
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .split(/[^A-Za-z0-9]+/)
    .filter(Boolean)
  const made = words
    .map((word, n) =>
      n === 0 ? word.charAt(0).toLowerCase() + word.slice(1) : word.charAt(0).toUpperCase() + word.slice(1),
    )
    .join('')
  let property = /^[A-Za-z]/.test(made) && made !== 'id' ? made : `field${made}`
  for (let n = 2; taken.includes(property); n++) property = `${made || 'field'}${n}`
  return property
}

/** A column as a field of texts, for its owner to correct. */
export function plainField(column: string, mapping: Mapping): MappedField {
  const property = propertyOf(
    column,
    mapping.fields.map(field => field.property),
  )
  const words = property.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase()
  return {
    property,
    label: words.charAt(0).toUpperCase() + words.slice(1),
    kind: 'text',
    column,
    longitude: null,
    placeName: null,
    alternative: null,
    currency: null,
    separator: null,
    levels: null,
    unit: null,
    dates: 'year-first',
    decimalComma: false,
  }
}

/** Columns that say something more about another field, with its label: they are no fields of their own. */
export const helpersOf = (mapping: Mapping): Map<string, string> =>
  new Map(
    mapping.fields.flatMap(field =>
      [field.longitude, field.placeName, field.alternative, field.currency].flatMap(column =>
        column ? [[column, field.label] as const] : [],
      ),
    ),
  )

/** Whether a column of this kind can be written in more ways than one. */
export const hasWays = (kind: FieldKind) => kind !== 'yes-no' && kind !== 'link'

const DAY_ORDERS: Record<MappedField['dates'], string> = {
  'year-first': '',
  'day-first': 'day first',
  'month-first': 'month first',
}

/** How a column is written, in words. */
export const waysSaid = (field: MappedField): string =>
  [
    field.separator ? `several, split at “${field.separator}”` : '',
    field.levels ? `a tree, levels split at “${field.levels}”` : '',
    field.unit ? `in ${field.unit}` : '',
    field.decimalComma ? 'decimal comma' : '',
    field.kind === 'date' ? DAY_ORDERS[field.dates] : '',
    field.longitude ? `longitude from “${field.longitude}”` : '',
    field.placeName ? `name from “${field.placeName}”` : '',
    field.alternative ? `alternative text from “${field.alternative}”` : '',
    field.currency ? `currency ${field.currency}` : '',
  ]
    .filter(Boolean)
    .join(', ')

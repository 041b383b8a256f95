import type { CollectionShape, OrderKey } from '../../../shared/contract'

export const ORDER_NAMES: Record<OrderKey['by'], string> = {
  tier: 'Tier',
  'place-in-tier': 'Place in the tier',
  relevance: 'Relevance',
  distance: 'Distance',
  newest: 'Newest',
  'next-day': 'Next day',
  number: 'A number',
  title: 'Title',
}

/** One thing to order by, in words that a list of choices shows. */
export interface OrderOption {
  id: string
  label: string
  key: OrderKey
}

const keyOf = (by: OrderKey['by'], field: string | null = null, down = false): OrderKey => ({
  by,
  field,
  down,
  without: null,
})
export const idOf = (key: OrderKey) => [key.by, key.field ?? '', key.down ? 'down' : ''].join(' ')

/** Everything that the searched collections can be ordered by. */
export function optionsFor(collections: readonly CollectionShape[]): OrderOption[] {
  const fields = new Map(collections.flatMap(one => one.fields).map(field => [field.key, field]))
  const of = (kinds: string[]) => [...fields.values()].filter(field => kinds.includes(field.kind))
  const options = [
    { label: 'Tier, the lifted ones first', key: keyOf('tier') },
    { label: 'Place in the tier', key: keyOf('place-in-tier') },
    { label: 'Relevance', key: keyOf('relevance') },
    { label: 'Newest', key: keyOf('newest') },
    ...(of(['place']).length > 0 ? [{ label: 'Distance from the visitor', key: keyOf('distance') }] : []),
    ...of(['date'])
      .filter(field => field.key !== 'published')
      .flatMap(field => [
        { label: `${field.label}, the next one first`, key: keyOf('next-day', field.key) },
        { label: `${field.label}, the last one first`, key: keyOf('newest', field.key) },
      ]),
    ...of(['number', 'money']).flatMap(field => [
      { label: `${field.label}, least first`, key: keyOf('number', field.key) },
      { label: `${field.label}, greatest first`, key: keyOf('number', field.key, true) },
    ]),
    { label: 'Title, A to Z', key: keyOf('title') },
    { label: 'Title, Z to A', key: keyOf('title', null, true) },
  ]
  return options.map(option => ({ ...option, id: idOf(option.key) }))
}

/** A key in words, also where its field is gone. */
export const said = (key: OrderKey, options: readonly OrderOption[]) =>
  options.find(option => option.id === idOf(key))?.label ??
  `${ORDER_NAMES[key.by]}${key.field === null ? '' : ` by ${key.field}`} (no searched collection has it)`

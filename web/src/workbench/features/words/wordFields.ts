import type { CollectionShape, FieldWeight, SearchDesign } from '../../../shared/contract'

/** A field with words in it, and the collections that have it. */
export interface WordField {
  readonly key: string
  readonly label: string
  readonly in: readonly string[]
}

const searchedKeys = (design: SearchDesign) => new Set(design.reach.collections.map(one => one.collection))

/** Every field with words in it that a searched collection has. */
export function wordFields(design: SearchDesign, collections: readonly CollectionShape[]): WordField[] {
  const searched = searchedKeys(design)
  const found = new Map<string, WordField>()
  for (const collection of collections.filter(one => searched.has(one.key))) {
    for (const { key, label } of collection.fields.filter(field => field.searchable)) {
      const known = found.get(key)
      found.set(key, { key, label: known?.label ?? label, in: [...(known?.in ?? []), collection.label] })
    }
  }
  return [...found.values()]
}

/** The languages of what is searched, by their codes. */
export function searchedLanguages(design: SearchDesign, collections: readonly CollectionShape[]): string[] {
  const searched = searchedKeys(design)
  const languages = collections.filter(one => searched.has(one.key)).map(one => one.language.split('-')[0]!)
  return [...new Set(languages)].sort()
}

export const weightOf = (weights: readonly FieldWeight[], key: string) =>
  weights.find(one => one.field === key)?.weight ?? 0

/** A weight in words. */
export function weightSaid(weight: number): string {
  if (weight === 0) return 'not searched'
  if (weight <= 1) return 'counts a little'
  if (weight <= 3) return 'counts'
  return weight <= 6 ? 'counts much' : 'counts most'
}

/** With a field weighed; one that had no weight comes last. */
export const withWeight = (weights: readonly FieldWeight[], field: string, weight: number): FieldWeight[] =>
  weights.some(one => one.field === field)
    ? weights.map(one => (one.field === field ? { ...one, weight } : one))
    : [...weights, { field, weight }]

const TITLE = 5
const ABOUT = 2
const TEXT = 1
/** Fields that say in few words what an item is about; its text is `body`. */
const isAbout = (key: string) => key === 'summary' || key === 'headings'

/** Weights for all fields at once. */
export const WEIGHT_GROUPS: readonly {
  label: string
  what: string
  /** @param now what the field has */
  weigh: (key: string, now: number) => number
}[] = [
  { label: 'Titles only', what: 'Nothing but titles counts', weigh: key => (key === 'title' ? TITLE : 0) },
  {
    label: 'Titles and texts',
    what: 'Titles count most, texts less',
    weigh: key => (key === 'title' ? TITLE : isAbout(key) ? ABOUT : key === 'body' ? TEXT : 0),
  },
  {
    label: 'Everything',
    what: 'Every field with words in it counts',
    weigh: (key, now) => (key === 'title' ? TITLE : isAbout(key) ? ABOUT : key === 'body' ? TEXT : Math.max(TEXT, now)),
  },
]

import type { DesignChange, CollectionShape, OrderKey, ReachRule, SearchDesign } from '../../../shared/contract'
import { FRAME_CHOICES, SIDES } from '../cards/frameNames'
import { CONTROL_NAMES, partsOf } from '../filters/filters'
import { formatNumber, withDays } from '../../kit/format'
import { optionsFor, said as saidOrder } from '../order/orders'
import {
  CROSSES,
  LEADS,
  OPENINGS,
  OPENS,
  PAGINGS,
  SHOWN_AROUND,
  SHOWN_ON_BUTTON,
  SIDES_OF_BUTTON,
  STARTS,
  WHERE_LIVE,
} from '../places/placeNames'

/** A change of a design as a row of a table: which decision, what it was, what it becomes. */
export interface ToldChange {
  what: string
  before: string
  after: string
}

const NONE = 'not there'
const EMPTY = '–'
/** Of a look, what it does not say itself. */
const AS_SITE = 'as it comes'
const MOST_LISTED = 8
const AS_LOOK = 'as the look has it'
/** What holds where a design says nothing of a thing, by the path's last parts; elsewhere the thing is not there. */
const UNSAID: Readonly<Record<string, string>> = {
  'excerpt.words': 'as the card has lines for',
  'picture.corners': AS_LOOK,
  ...Object.fromEntries(
    ['corners', 'edges', ...FRAME_CHOICES.map(choice => choice.key)].map(key => [`frame.${key}`, AS_LOOK]),
  ),
}

const lowered = (label: string) => label[0]!.toLowerCase() + label.slice(1)

/**
 * What a decision is called, by its path; `*` stands for a key, which `$1`, `$2` name. What is not here is told by its
 * path.
 */
const NAMES: Readonly<Record<string, string>> = {
  name: 'Name',
  'reach.collections': 'Order of the collections',
  'reach.collections.*': 'Collection $1',
  'reach.collections.*.only': 'Only some of $1',
  'reach.collections.*.leaveOut': 'Left out of $1',
  'words.weights': 'Order of the weights',
  'words.weights.*': 'Weight of $1',
  'words.weights.*.weight': 'Weight of $1',
  'words.matching.needed': 'Words needed',
  'words.matching.partOfWord': 'A word may be',
  'words.matching.typos.allowed': 'Typos forgiven',
  'words.matching.typos.firstLetterFixed': 'First letter must be right',
  'words.matching.stemming': 'Other forms of a word found',
  'words.matching.fewestLetters': 'Fewest letters',
  'words.excerpt.words': 'Words in an excerpt',
  'words.excerpt.wordsBefore': 'Words before the first match',
  'words.synonyms': 'Synonyms',
  'words.stopWords': 'Stop words',
  'words.matching.operators': 'Operators',
  'words.help.completions': 'Completion of words',
  'words.help.didYouMean': 'Did you mean',
  'words.help.seeAlso': 'Queries under the results',
  'words.help.owners.*': 'See also for “$1”',
  'words.help.owners.*.offered': 'See also for “$1”',
  filters: 'Order of the filters',
  'filters.*': 'Filter $1',
  'filterPlaces.page': 'Filters on the results page',
  'filterPlaces.box': 'Filters beside the box',
  'filterPlaces.home': 'Filters alone on a page',
  'ranking.order.withWords': 'Order with words',
  'ranking.order.withoutWords': 'Order without words',
  'ranking.order.choices': 'Order of what visitors choose from',
  'ranking.order.choices.*': 'Visitors may choose “$1”',
  'ranking.order.label': 'What visitors read for the usual order',
  'ranking.order.mostFeatured': 'Warned of too many featured from',
  'ranking.tiers': 'Order of the tiers',
  'ranking.tiers.*': 'Tier $1',
  'ranking.pins': 'Order of the pins',
  'ranking.pins.*': 'Pins for “$1”',
  'appearance.cards': 'Cards',
  'appearance.cards.*': 'Card for the $1',
  'appearance.look': 'Look',
  'appearance.look.from': 'Look begins from',
  'appearance.look.scheme': 'Light or dark',
  'appearance.look.light.*': 'Colour “$1” on light pages',
  'appearance.look.dark.*': 'Colour “$1” on dark pages',
  'appearance.texts.language': 'Language that visitors read',
  'appearance.texts.fallback': 'Language on pages in others',
  'appearance.texts.reworded': 'Texts worded by you',
  'appearance.texts.reworded.*': 'Text “$1”',
  'appearance.texts.labels': 'Labels in other languages',
  'appearance.texts.labels.*': 'Label “$1”',
  'places.page.address': 'Results page',
  'places.page.perPage': 'Results a page',
  'places.page.layout.arranged': 'Results stand',
  'places.page.layout.columns': 'Columns at most',
  'places.page.layout.viewer': 'Pictures open large',
  'places.page.layout.tags': 'Tags below large pictures',
  'places.page': 'Results page',
  'places.box': 'Search box',
  'places.box.chooser': 'Chosen beside the words',
  'places.box.narrow': 'Search box on narrow pages',
  'places.box.narrowUpTo': 'Narrow up to',
  'places.box.leads': 'Enter leads',
  'places.live': 'Live results',
  'places.live.above.all': 'Way to all results below live ones',
  'places.page.start.with': 'Before anything is typed',
  'places.page.start.filter': 'Begins with a category of',
  'places.page.start.value': 'Category it begins with',
  'places.page.shows.popular': 'Popular categories',
  'places.page.shows.nothing': 'When nothing is found',
  ...Object.fromEntries(
    SHOWN_AROUND.map(({ key, label }) => [`places.page.shows.${key}`, `Around the results: ${lowered(label)}`]),
  ),
}

/** Names of parts below those, in whichever place. */
const PARTS: Readonly<Record<string, string>> = {
  help: 'line of help',
  control: 'handled with',
  except: 'values left out',
  picked: 'values picked by hand',
  labels: 'name of',
  several: 'several ticks',
  order: 'order of the values',
  tree: 'as a tree',
  counts: 'numbers beside values',
  withoutResults: 'values without results',
  cutAfter: 'values at first',
  folded: 'folded at first',
  bands: 'steps',
  neutral: 'what is read for none',
  devices: 'where there is room',
  after: 'shown once there is set',
  head: '',
  source: '',
  offered: '',
  'source.looks': '',
  list: '',
  hidesEmpty: 'without those that would give nothing',
  measured: 'measured in',
  allAtStart: 'all ticked at first',
  withBelow: 'with what lies below',
  merged: 'counted as another:',
  depth: 'levels',
  searchFrom: 'searched by name from',
  pictures: 'picture of',
  start: 'at first',
  shown: 'shown',
  page: 'on the results page',
  box: 'beside the box',
  home: 'alone on a page',
  narrowing: 'only while it narrows',
  collections: 'only with results of',
  body: '',
  frame: '',
  parts: 'part',
  sign: 'sign',
  standIn: 'where there is no picture',
  shrinks: 'gives way',
  edges: 'edges',
  spacing: 'room inside',
  shadow: 'shadow',
  pointed: 'pointed at',
  focused: 'where the keyboard is seen',
  headings: 'under a heading each',
  apart: 'apart',
  radii: 'distances',
  atOnce: 'holding at once',
  opened: 'opened',
  rank: 'rank',
  holders: 'who holds it',
  lift: 'lifted',
  most: 'at most',
  mostLive: 'in live results',
  turns: 'in turns',
  disclosure: 'said to be paid for',
  looks: 'looks',
  ground: 'ground',
  corners: 'corners',
  edge: 'edge',
  edgeColor: 'colour of the edge',
  ribbon: 'ribbon',
  color: 'colour',
  put: 'items at places',
  takeOut: 'items taken out',
  queries: 'queries',
  font: 'type of texts',
  titleFont: 'type of titles',
  size: 'size of text',
  titleWeight: 'weight of titles',
  density: 'room between things',
  type: '',
  form: '',
  until: 'until',
  wide: '',
  told: '',
  everything: 'the way to everything',
  withoutOne: 'one filter less',
  listed: 'search engines may list the hosted page',
  dress: '',
  sizes: '',
  asking: '',
  opening: 'how it opens',
  button: 'button',
  clear: 'cross that empties it',
  inside: 'room within',
  around: 'room around',
  rest: 'at rest,',
  ending: 'end of the gradient',
  angle: 'gradient runs to',
  over: 'over the page,',
  field: '',
  inList: 'the list follows what is typed',
  onEnter: 'on Enter',
  first: 'before the line for more',
  above: '',
  didYouMean: 'other spellings',
  recent: 'recent searches',
  opens: 'a result opens',
  perPage: 'at a time',
  paging: 'one gets further',
  shows: 'shows',
  copyLink: 'button that copies the link',
  inAddress: 'the address says what is shown',
}

/** Where the values of a filter come from. */
const SOURCES: Readonly<Record<string, string>> = {
  category: 'values of a category',
  number: 'numbers',
  day: 'days',
  'yes-no': 'yes or no',
  word: 'words of a text',
  distance: 'distances',
  joint: 'values of several fields',
}

/** Parts whose entries go by keys, which may be called as a part is. */
const BY_KEY = ['labels', 'merged', 'pictures', 'parts']

/** Choices as a sentence goes on with them. */
const optionNames = (options: readonly { value: string; label: string }[]) =>
  Object.fromEntries(options.map(({ value, label }) => [value, lowered(label)]))

/** What an owner chose from a fixed row, by the part that holds it; a text of the owner's is told as it is. */
const CHOICES: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  control: CONTROL_NAMES,
  measured: { km: 'kilometres', mi: 'miles' },
  partOfWord: { whole: 'a whole word only', start: 'the start', inside: 'any part' },
  several: { any: 'one is enough', all: 'all must hold' },
  withoutResults: { dim: 'greyed', hide: 'not shown', found: 'only of what is found' },
  arranged: { list: 'one below the other', grid: 'side by side', wall: 'as a wall of pictures' },
  opened: { 'in-view': 'in view', unfolding: 'behind a button', over: 'behind a button, over the page' },
  turns: { none: 'no', 'by-day': 'by day' },
  'box.leads': optionNames(LEADS),
  opening: optionNames(OPENINGS),
  'button.shows': optionNames(SHOWN_ON_BUTTON),
  'button.side': optionNames(SIDES_OF_BUTTON),
  clear: optionNames(CROSSES),
  'live.where': optionNames(WHERE_LIVE),
  opens: optionNames(OPENS),
  paging: optionNames(PAGINGS),
  'start.with': optionNames(STARTS),
  standIn: { none: 'nothing', letter: 'its first letter', sign: 'the sign of its collection' },
  ...Object.fromEntries(
    [...FRAME_CHOICES, { key: 'edges', options: SIDES }].map(({ key, options }) => [
      `frame.${key}`,
      Object.fromEntries(options.map(({ value, label }) => [value, label.toLowerCase()])),
    ]),
  ),
}

/** Of parts that are called alike the one within its whole comes first: the ground of a frame is no tier's. */
const choiceOf = (path: readonly string[]) => CHOICES[path.slice(-2).join('.')] ?? CHOICES[path.at(-1)!]

/** A name of a component as words: `mostLive` is "most live". */
const asWords = (name: string) =>
  name.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)

/**
 * Tells changes in the words of the screens.
 *
 * @param design the draft, which names what keys stand for
 */
export function tellerOf(design: SearchDesign | null, collections: readonly CollectionShape[]) {
  const options = optionsFor(collections)
  const labels = new Map<string, string>([
    ...collections.flatMap(one => one.fields.map(field => [`words.weights.${field.key}`, field.label] as const)),
    ...collections.map(one => [`reach.collections.${one.key}`, one.label] as const),
    ...(design?.filters ?? []).flatMap(filter => [
      [`filters.${filter.head.key}`, filter.head.label] as const,
      ...partsOf(filter).map(
        part => [`filters.${filter.head.key}.source.parts.${part.head.key}`, part.head.label] as const,
      ),
    ]),
    ...(design?.ranking.tiers ?? []).map(tier => [`ranking.tiers.${tier.key}`, tier.name] as const),
    ...(design?.appearance.cards ?? []).map(card => {
      const whose = collections.find(one => one.key === card.collection)?.label ?? card.collection
      return whose === null
        ? ([`appearance.cards.${card.place}`, card.place] as const)
        : ([`appearance.cards.${card.place} ${card.collection}`, `${card.place}, ${whose}`] as const)
    }),
    ...(design?.ranking.order.choices ?? []).map(
      choice => [`ranking.order.choices.${choice.key}`, choice.label] as const,
    ),
  ])

  /** The longest beginning of a path that has a name, and what is left of the path behind it. */
  function named(path: readonly string[], label: (at: number) => string): { name: string; rest: readonly string[] } {
    for (let length = path.length; length > 0; length--) {
      for (const pattern of patternsOf(path.slice(0, length))) {
        const name = NAMES[pattern]
        if (name === undefined) continue
        const keys = pattern.split('.').flatMap((part, at) => (part === '*' ? [label(at)] : []))
        return { name: keys.reduce((text, key, n) => text.replace(`$${n + 1}`, key), name), rest: path.slice(length) }
      }
    }
    return { name: asWords(path[0]!), rest: path.slice(1) }
  }

  function what(change: DesignChange): string {
    const own = ownLabel(change.after) ?? ownLabel(change.before)
    const label = (at: number) =>
      labels.get(change.path.slice(0, at + 1).join('.')) ??
      (at === change.path.length - 1 ? own : undefined) ??
      change.path[at]!
    const { name, rest } = named(change.path, label)
    const behind = rest
      .map(
        (part, n) =>
          labels.get(change.path.slice(0, change.path.length - rest.length + n + 1).join('.')) ??
          (BY_KEY.includes(rest[n - 1] ?? '')
            ? part
            : (PARTS[`${rest[n - 1]}.${part}`] ?? PARTS[part] ?? asWords(part))),
      )
      .filter(part => part !== '')
      .join(' ')
    return behind === '' ? name : `${name}: ${behind}`
  }

  function shown(path: readonly string[], value: unknown): string {
    if (value === null || value === undefined)
      return path[1] === 'look' ? AS_SITE : (UNSAID[path.slice(-2).join('.')] ?? NONE)
    if (typeof value === 'boolean') return value ? 'yes' : 'no'
    if (typeof value === 'number') return formatNumber(value)
    if (typeof value === 'string')
      return labels.get([...path, value].join('.')) ?? choiceOf(path)?.[value] ?? withDays(value)
    if (Array.isArray(value)) return listed(value.map(one => shown(path, one)))
    return shape(path, value as Record<string, unknown>)
  }

  /** A part of a design as a whole: by its label if it has one, else by what it holds. */
  function shape(path: readonly string[], value: Record<string, unknown>): string {
    if ('by' in value && typeof value.by === 'string') return saidOrder(value as unknown as OrderKey, options)
    if ('author' in value && 'address' in value) return rule(value as unknown as ReachRule)
    if (typeof value.weight === 'number') return formatNumber(value.weight)
    if (ownLabel(value) !== undefined) return 'there'
    if (typeof value.of === 'string') return SOURCES[value.of] ?? value.of
    const held = Object.entries(value).filter(([, one]) => one !== null && !(Array.isArray(one) && one.length === 0))
    return held.map(([key, one]) => `${PARTS[key] ?? asWords(key)} ${shown([...path, key], one)}`).join(', ')
  }

  return (change: DesignChange): ToldChange => ({
    what: what(change),
    before: shown(change.path, change.before),
    after: shown(change.path, change.after),
  })
}

function rule(of: ReachRule): string {
  if (of.field !== null) return `${of.field} ${of.value?.split('/').join(' › ')}`
  return of.author !== null ? `author ${of.author}` : of.item !== null ? `item ${of.item}` : `address ${of.address}`
}

function ownLabel(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  const { label, name, head } = value as { label?: string; name?: string; head?: { label: string } }
  return label ?? name ?? head?.label
}

function listed(texts: readonly string[]): string {
  if (texts.length === 0) return EMPTY
  const first = texts.slice(0, MOST_LISTED).join('; ')
  return texts.length <= MOST_LISTED ? first : `${first}; and ${formatNumber(texts.length - MOST_LISTED)} more`
}

/** With the keys on the way each as `*` or as they are: the names decide which of them are keys. */
function patternsOf(path: readonly string[]): string[] {
  return path.reduce<string[]>(
    (patterns, part) =>
      patterns.flatMap(pattern => [part, '*'].map(one => (pattern === '' ? one : `${pattern}.${one}`))),
    [''],
  )
}

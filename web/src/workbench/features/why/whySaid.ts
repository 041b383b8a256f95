import type { CollectionShape, Explanation, Reason, ReachRule, Remedy, Standing } from '../../../shared/contract'

type Way = Explanation['words'][number]['fields'][number]['way']

/** How a word met what stands in a field. */
export const WAYS: Record<Way, string> = {
  'whole-name': 'a whole name',
  exact: 'the word itself',
  stem: 'another form',
  start: 'its start',
  'name-otherwise': 'a whole name, written together or apart',
  together: 'written as one word',
  apart: 'written as words side by side',
  piece: 'a piece of a word',
  inside: 'inside a word',
  'typo-name': 'a whole name, one slip off',
  typo: 'one slip off',
  'typo-start': 'a start, one slip off',
  'typo-inside': 'a part, one slip off',
  'far-typo-name': 'a whole name, two slips off',
  'far-typo': 'two slips off',
  'far-typo-start': 'a start, two slips off',
  'far-typo-inside': 'a part, two slips off',
  synonym: 'a synonym',
}

/** The names of what an explanation speaks of, as the owner calls them. */
export interface Names {
  collection: (key: string) => string
  /** Of a field of the item's collection. */
  field: (key: string) => string
  /** Of the item's own collection. */
  here: string
}

export function namesFor(collections: readonly CollectionShape[], here: string | undefined): Names {
  const known = (key: string | undefined) => collections.find(one => one.key === key)
  return {
    collection: key => known(key)?.label ?? key,
    field: key => known(here)?.fields.find(field => field.key === key)?.label ?? key,
    here: known(here)?.label ?? here ?? '',
  }
}

const quoted = (list: readonly string[]) => list.map(word => `“${word}”`).join(', ')
const path = (value: string) => value.split('/').join(' › ')

function ruleSaid(rule: ReachRule | null, names: Names): string {
  if (!rule) return ''
  if (rule.field) return `${names.field(rule.field)} ${path(rule.value ?? '')}`
  if (rule.author) return `author ${rule.author}`
  return rule.item ? 'this item' : `address ${rule.address}`
}

const REASONS: Record<Reason['kind'], (reason: Reason, names: Names) => string> = {
  'not-there': () => 'There is no such item any more.',
  'collection-not-searched': (_, names) => `${names.here} is not searched.`,
  'kept-out': () => 'You keep it out of every search. Let it in on its own page.',
  'left-out': (reason, names) => `A rule leaves it out: ${ruleSaid(reason.rule, names)}.`,
  'not-let-in': (reason, names) =>
    `Only some are let in, such as ${ruleSaid(reason.rule, names)}, and it is none of them.`,
  'field-not-searched': (reason, names) =>
    `${quoted(reason.words)} stands in ${reason.fields.map(names.field).join(' and ')}, which is not searched.`,
  'too-strict': reason => `It holds ${quoted(reason.words)} in a way that is not allowed.`,
  'word-nowhere': reason => `${quoted(reason.words)} stands nowhere in it.`,
  'too-few-words': reason =>
    `It holds too few of the words: ${quoted(reason.words)} ${reason.words.length === 1 ? 'is' : 'are'} missing.`,
  filtered: (reason, names) =>
    `It is lost to a filter: ${reason.fields.map(names.field).join(' and ')} must be ${reason.words.map(path).join(' or ')}. Take the tick off on the stage.`,
  operators: () => 'It does not fit the operators in the query.',
  'taken-out': () => 'A pin takes it out of this query.',
}

/** Why an item is not found, in a sentence. */
export const reasonSaid = (reason: Reason, names: Names) => REASONS[reason.kind](reason, names)

const CURES: Record<Remedy['cure'], (remedy: Remedy, names: Names) => string> = {
  'search-collection': () => 'Search this collection',
  'drop-rule': () => 'Take the rule back',
  'drop-only-rules': () => 'Take these rules back',
  'search-field': (remedy, names) => `Search ${names.field(remedy.field ?? '')}`,
  'allow-typos': () => 'Forgive typos',
  'free-first-letter': () => 'Forgive the first letter too',
  'match-starts': () => 'Let starts of words do',
  'match-inside': () => 'Let parts of words do',
  'find-other-forms': () => 'Find other forms of a word',
  'add-synonym': () => 'Add it as a synonym of the title',
  'need-fewer-words': () => 'Let one word do',
  'no-operators': () => 'Read operators as words',
  'drop-pin': () => 'Let it in again',
}

/** What would mend a reason, as its button says it. */
export const cureSaid = (remedy: Remedy, names: Names) => CURES[remedy.cure](remedy, names)

/** What else than the order's keys moves an item; empty for nothing. */
export function movedSaid(standing: Standing | null): string {
  if (!standing) return ''
  if (standing.pinnedAt !== null) return `A pin puts it at place ${standing.pinnedAt}.`
  if (standing.tierName === null) return ''
  if (!standing.lifted) return `It holds “${standing.tierName}”, which marks it and does not lift it here.`
  const turns = standing.takesTurns ? '; those of the tier take turns by day' : ''
  const place = standing.placeInTier === null ? turns : `, at place ${standing.placeInTier} in the tier`
  return `It is lifted, since it holds “${standing.tierName}”${place}.`
}

/** What the elements say to visitors, by language. English stands in where a language is missing. */
export interface Texts {
  search: string
  clear: string
  searching: string
  nothing: (query: string) => string
  nothingHint: string
  didYouMean: string
  goOn: string
  seeAlso: string
  everything: string
  newest: string
  all: string
  resultsFor: (query: string) => string
  count: (total: number) => string
  seeAll: (total: number) => string
  listKeys: string
  filters: string
  order: string
  away: (distance: string) => string
  under: (distance: string) => string
  any: string
  find: string
  findIn: (label: string) => string
  noSuchValue: string
  from: (label: string) => string
  to: (label: string) => string
  fromShort: string
  toShort: string
  atLeast: string
  atMost: string
  /** Either may be empty. */
  bounds: (from: string, to: string) => string
  /** A distance, and from where; the name may be empty. */
  within: (distance: string, place: string) => string
  around: string
  here: string
  whereIs: string
  noPosition: string
  sayWhere: string
  noSuchPlace: (name: string) => string
  anyDistance: string
  orElse: string
  takeOff: (label: string) => string
  clearAll: string
  more: (values: number) => string
  moreBelow: (label: string) => string
  firstNamed: (values: number) => string
  further: (values: number) => string
  fewer: string
  below: (label: string) => string
  showResults: (total: number) => string
  close: string
  pages: string
  page: (page: number) => string
  failed: string
  again: string
  needsKey: string
}

const number = (value: number) => new Intl.NumberFormat(document.documentElement.lang || undefined).format(value)

export const english: Texts = {
  search: 'Search',
  clear: 'Clear the search',
  searching: 'Searching',
  nothing: query => `Nothing found for “${query}”`,
  nothingHint: 'Try fewer words, or other ones.',
  didYouMean: 'Did you mean',
  goOn: 'Go on with',
  seeAlso: 'See also',
  everything: 'Look at everything',
  newest: 'Everything, newest first',
  all: 'Everything',
  resultsFor: query => `Results for “${query}”`,
  count: total => (total === 1 ? '1 result' : `${number(total)} results`),
  seeAll: total => (total === 1 ? 'See the result' : `See all ${number(total)} results`),
  listKeys: '↑ ↓ to move, Enter to open',
  filters: 'Filters',
  order: 'Order',
  away: distance => `${distance} away`,
  under: distance => `under ${distance}`,
  any: 'Any',
  find: 'Find',
  findIn: label => `Find in ${label}`,
  noSuchValue: 'None has these letters.',
  from: label => `${label}, from`,
  to: label => `${label}, to`,
  fromShort: 'From',
  toShort: 'To',
  atLeast: 'At least',
  atMost: 'At most',
  bounds: (from, to) => (from === '' ? `up to ${to}` : to === '' ? `from ${from}` : `${from} to ${to}`),
  within: (distance, place) => (place === '' ? `Within ${distance}` : `Within ${distance} of ${place}`),
  around: 'Around',
  here: 'Where I am',
  whereIs: 'Looking where you are',
  noPosition: 'Your browser does not say where you are. Write a place instead.',
  sayWhere: 'Write a place to choose a distance from it.',
  noSuchPlace: name => `Nothing here lies in a place called “${name}”.`,
  anyDistance: 'Any distance',
  orElse: 'Or did you mean',
  takeOff: label => `Take off ${label}`,
  clearAll: 'Clear all',
  more: values => `${number(values)} more`,
  moreBelow: label => `More below ${label}`,
  firstNamed: values => `These are the first ${number(values)}. More letters find others.`,
  further: values => `${number(values)} more are found by letters of their names.`,
  fewer: 'Show fewer',
  below: label => `What lies below ${label}`,
  showResults: total => (total === 0 ? 'No results' : total === 1 ? 'Show 1 result' : `Show ${number(total)} results`),
  close: 'Close',
  pages: 'Pages of results',
  page: page => `Page ${page}`,
  failed: 'The search cannot be reached just now.',
  again: 'Try again',
  needsKey: 'This search has no key. Put search="…" into its tag.',
}

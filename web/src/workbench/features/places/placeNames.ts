/** What owners read for the choices of the box, live results and the results page. */
import type { BoxArrangement, LiveList, ResultsPage, SearchBox, SearchDesign } from '../../../shared/contract'
import { counted } from '../../kit/format'

type Options<Value extends string> = readonly { value: Value; label: string }[]
type Button = BoxArrangement['button']

export const OPENINGS: Options<BoxArrangement['opening']> = [
  { value: 'always', label: 'It is always open' },
  { value: 'in-place', label: 'In place of a sign' },
  { value: 'below', label: 'Below a sign' },
  { value: 'over', label: 'Over the page' },
]
export const SHOWN_ON_BUTTON: Options<Button['shows']> = [
  { value: 'sign', label: 'A sign' },
  { value: 'word', label: 'A word' },
  { value: 'both', label: 'Both' },
  { value: 'no-button', label: 'No button' },
]
export const SIDES_OF_BUTTON: Options<Button['side']> = [
  { value: 'start', label: 'Before the words' },
  { value: 'end', label: 'Behind them' },
]
export const CROSSES: Options<BoxArrangement['clear']> = [
  { value: 'inside', label: 'In the box' },
  { value: 'beside', label: 'Beside it' },
  { value: 'nowhere', label: 'None' },
]
export const LEADS: Options<SearchBox['leads']> = [
  { value: 'nearest', label: 'To a list on the same page, else to the results page' },
  { value: 'page', label: 'Always to the results page' },
  { value: 'first', label: 'Straight to the first result' },
]
export const SIZES = [
  { key: 'width', label: 'Width', empty: 'as there is room' },
  { key: 'height', label: 'Height', empty: 'look' },
  { key: 'inside', label: 'Room within', empty: 'look' },
  { key: 'around', label: 'Room around', empty: 'none' },
  { key: 'corners', label: 'Corners', empty: 'look' },
  { key: 'edge', label: 'Edge', empty: 'look' },
] as const
export const STATES = [
  { key: 'rest', label: 'At rest' },
  { key: 'pointed', label: 'Pointed at' },
  { key: 'focused', label: 'While typing' },
] as const
export const PAINTS = [
  { key: 'ground', label: 'Ground' },
  { key: 'ending', label: 'Runs out to' },
  { key: 'edge', label: 'Edge' },
  { key: 'text', label: 'Words' },
] as const

export const WHERE_LIVE: Options<LiveList['where']> = [
  { value: 'below', label: 'Below the box' },
  { value: 'over', label: 'Over the page' },
  { value: 'nowhere', label: 'Nowhere' },
]
export const OPENS: Options<LiveList['opens']> = [
  { value: 'here', label: 'Here' },
  { value: 'new-tab', label: 'In a new tab' },
]

export const ARRANGEMENTS: Options<ResultsPage['layout']['arranged']> = [
  { value: 'list', label: 'One below the other' },
  { value: 'grid', label: 'Side by side' },
  { value: 'wall', label: 'Wall of pictures' },
]
export const PAGINGS: Options<ResultsPage['paging']> = [
  { value: 'numbers', label: 'By numbers' },
  { value: 'more', label: 'By a button' },
  { value: 'scroll', label: 'As one scrolls' },
]
export const STARTS: Options<ResultsPage['start']['with']> = [
  { value: 'everything', label: 'Everything' },
  { value: 'featured', label: 'What is featured' },
  { value: 'popular', label: 'What visitors chose most' },
  { value: 'category', label: 'One category' },
  { value: 'nothing', label: 'Nothing' },
]
export const SHOWN_AROUND = [
  { key: 'box', label: 'A box to search again' },
  { key: 'heading', label: 'What was searched for' },
  { key: 'count', label: 'How many there are' },
  { key: 'time', label: 'How long it took' },
  { key: 'order', label: 'The choice of an order' },
  { key: 'set', label: 'What is set in filters' },
  { key: 'copyLink', label: 'A button that copies the link' },
] as const

const nameOf = (options: Options<string>, value: string) => options.find(one => one.value === value)?.label ?? value
const labelOf = (options: Options<string>, value: string) => nameOf(options, value).toLowerCase()

/** Lines of the path. */
export const boxLine = ({ places: { box, page } }: SearchDesign) =>
  [
    box.wide.opening === 'always' ? 'Always open' : `Opens ${labelOf(OPENINGS, box.wide.opening)}`,
    box.leads === 'first' ? 'leads to the first result' : `leads to ${page.address ?? 'the hosted page'}`,
  ].join(' · ')
export const liveLine = ({ places: { live } }: SearchDesign) =>
  live.where === 'nowhere'
    ? live.inList
      ? 'In the list of the page'
      : 'Off'
    : `${nameOf(WHERE_LIVE, live.where)} · at most ${live.most}`
export const pageLine = ({ places: { page } }: SearchDesign) =>
  `${nameOf(ARRANGEMENTS, page.layout.arranged)} · ${page.perPage} a page`
/** What stands around the results, in a line. */
export const aroundLine = (shows: ResultsPage['shows']) =>
  counted(SHOWN_AROUND.filter(({ key }) => shows[key]).length, 'thing')

import type { Remark } from '../../../shared/contract'

/** A part of a step that *Go to* leads to by itself; its heading has the id. */
interface StepPart {
  id: string
  name: string
}

/** The steps of a search that can be designed so far, in the order in which the work is done. */
export const steps = [
  { key: 'what-is-searched', name: 'What is searched', remarks: 'reach', parts: [] },
  {
    key: 'words',
    name: 'Words',
    remarks: 'words',
    parts: [
      { id: 'strictness', name: 'How strictly words must match, typos' },
      { id: 'synonyms', name: 'Synonyms' },
      { id: 'stop-words', name: 'Stop words' },
      { id: 'help', name: 'Help for visitors, see also' },
      { id: 'excerpt', name: 'Text under a title' },
    ],
  },
  {
    key: 'filters',
    name: 'Filters',
    remarks: 'filters',
    parts: [{ id: 'filter-places', name: 'Where filters stand' }],
  },
  {
    key: 'order',
    name: 'Order & featured',
    remarks: 'order',
    parts: [
      { id: 'tiers', name: 'Featured tiers' },
      { id: 'pins', name: 'Pins' },
      { id: 'choices', name: 'Orders that visitors may choose' },
    ],
  },
  {
    key: 'cards',
    name: 'Cards & look',
    remarks: 'cards',
    parts: [
      { id: 'look', name: 'Look: colours, type, form' },
      { id: 'texts', name: 'Texts and languages' },
    ],
  },
  {
    key: 'search-box',
    name: 'Search box',
    remarks: 'box',
    parts: [
      { id: 'leads', name: 'Where Enter leads, the results page' },
      { id: 'chooser', name: 'What can be chosen in the box' },
    ],
  },
  { key: 'live-results', name: 'Live results', remarks: 'live', parts: [] },
  {
    key: 'results-page',
    name: 'Results page',
    remarks: 'page',
    parts: [
      { id: 'around', name: 'Heading, count, time, link' },
      { id: 'nothing-found', name: 'When nothing is found' },
    ],
  },
  {
    key: 'go-live',
    name: 'Go live',
    remarks: 'go-live',
    parts: [
      { id: 'tag', name: 'The tag for your site' },
      { id: 'list-tags', name: 'The tags for your results page' },
      { id: 'versions', name: 'Versions, and the way back' },
    ],
  },
] as const satisfies readonly { key: string; name: string; remarks: Remark['step']; parts: readonly StepPart[] }[]

/** What stands beside the path, and is no step of it: it is looked at from any of them. */
export const TRIALS = 'trials'

export type ViewKey = StepKey | typeof TRIALS
export type StepKey = (typeof steps)[number]['key']

import type { Remark } from '../../shared/contract'

/** The steps of a search that can be designed so far, in the order in which the work is done. */
export const steps = [
  { key: 'what-is-searched', name: 'What is searched', remarks: 'reach' },
  { key: 'words', name: 'Words', remarks: 'words' },
  { key: 'filters', name: 'Filters', remarks: 'filters' },
  { key: 'order', name: 'Order & featured', remarks: 'order' },
  { key: 'go-live', name: 'Go live', remarks: 'go-live' },
] as const satisfies readonly { key: string; name: string; remarks: Remark['step'] }[]

/** What stands beside the path, and is no step of it: it is looked at from any of them. */
export const TRIALS = 'trials'

export type ViewKey = StepKey | typeof TRIALS
export type StepKey = (typeof steps)[number]['key']

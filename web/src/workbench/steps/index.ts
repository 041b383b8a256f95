import type { Remark } from '../../shared/contract'

/** The steps of a search that can be designed so far, in the order in which the work is done. */
export const steps = [
  { key: 'what-is-searched', name: 'What is searched', remarks: 'reach' },
  { key: 'words', name: 'Words', remarks: 'words' },
  { key: 'go-live', name: 'Go live', remarks: 'go-live' },
] as const satisfies readonly { key: string, name: string, remarks: Remark['step'] }[]

export type StepKey = (typeof steps)[number]['key']

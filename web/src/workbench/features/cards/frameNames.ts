import type { Card } from '../../../shared/contract'

type Frame = Card['frame']
type Side = NonNullable<Frame['edges']>[number]
interface Choice<Value> {
  value: Value
  label: string
}

const GROUNDS: readonly Choice<NonNullable<Frame['ground']>>[] = [
  { value: 'none', label: 'The page' },
  { value: 'card', label: 'Ground of cards' },
  { value: 'around', label: 'Ground around' },
]
const SPACINGS: readonly Choice<NonNullable<Frame['spacing']>>[] = [
  { value: 'none', label: 'None' },
  { value: 'small', label: 'Small' },
  { value: 'usual', label: 'Medium' },
  { value: 'large', label: 'Large' },
]
const SHADOWS: readonly Choice<NonNullable<Frame['shadow']>>[] = [
  { value: 'none', label: 'None' },
  { value: 'soft', label: 'Soft' },
  { value: 'deep', label: 'Deep' },
]
const POINTED: readonly Choice<NonNullable<Frame['pointed']>>[] = [
  { value: 'title', label: 'Its title is underlined' },
  { value: 'edge', label: 'Its edges get clear, too' },
  { value: 'lift', label: 'It lifts, too' },
  { value: 'ground', label: 'Its ground is tinted, too' },
]

/** The settings that are one of several. */
export const FRAME_CHOICES = [
  { key: 'ground', label: 'Stands on', options: GROUNDS },
  { key: 'spacing', label: 'Room inside', options: SPACINGS },
  { key: 'shadow', label: 'Shadow', options: SHADOWS },
  { key: 'pointed', label: 'Pointed at', options: POINTED },
] as const

export const SIDES: readonly Choice<Side>[] = [
  { value: 'above', label: 'Above' },
  { value: 'below', label: 'Below' },
  { value: 'start', label: 'Start' },
  { value: 'end', label: 'End' },
]
export const FOCUSED: readonly Choice<Frame['focused']>[] = [
  { value: 'card', label: 'Around the card' },
  { value: 'title', label: 'At its title' },
]

/** What is set of a frame, in a line. */
export function frameLine(frame: Frame): string {
  const set = FRAME_CHOICES.filter(({ key }) => frame[key] !== null).map(({ label }) => label.toLowerCase())
  if (frame.corners !== null) set.push('corners')
  if (frame.edges !== null) set.push('edges')
  return set.length === 0 ? 'as the look has it' : set.join(', ')
}

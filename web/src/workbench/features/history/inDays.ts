import type { OwnerChange } from '../../../shared/contract'
import { formatDay } from '../../kit/format'

/** Changes of one day of the owner's clock. */
export interface Day {
  name: string
  /** The last day on which its changes can be taken back. */
  until: string
  changes: OwnerChange[]
}

/** Puts changes together by days, as the owner's clock has them; their order stays. */
export function inDays(changes: readonly OwnerChange[], now: Date): Day[] {
  const today = formatDay(now.toISOString())
  const before = new Date(now)
  before.setDate(before.getDate() - 1)
  const yesterday = formatDay(before.toISOString())
  const days: Day[] = []
  for (const change of changes) {
    const day = formatDay(change.changed)
    const name = day === today ? 'Today' : day === yesterday ? 'Yesterday' : day
    const last = days.at(-1)
    if (last?.name === name) last.changes.push(change)
    else days.push({ name, until: formatDay(change.until), changes: [change] })
  }
  return days
}

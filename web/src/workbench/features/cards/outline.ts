import type { CardPart, PartGroup } from '../../../shared/contract'

/** A part of a card as its outline lists it: the body itself is not in it. */
export interface OutlineRow {
  part: CardPart
  /** How deep it stands: 0 for what stands in the body itself. */
  depth: number
  /** The key of the group that it stands in, and its place there. */
  slot: Slot
}

/** A place in a group. */
export interface Slot {
  group: string
  at: number
}

/** The parts of a card in the order in which they are read, each group before its parts. */
export function rowsOf(body: PartGroup, depth = 0): OutlineRow[] {
  return body.parts.flatMap((part, at) => [
    { part, depth, slot: { group: body.key, at } },
    ...(part.part === 'group' ? rowsOf(part, depth + 1) : []),
  ])
}

/** The same card with one part changed. */
export function withPart(body: PartGroup, key: string, changed: CardPart): PartGroup {
  if (body.key === key && changed.part === 'group') return changed
  return {
    ...body,
    parts: body.parts.map(part =>
      part.key === key ? changed : part.part === 'group' ? withPart(part, key, changed) : part,
    ),
  }
}

/** The same card without one part, and without what stands in it. */
export function without(body: PartGroup, key: string): PartGroup {
  return {
    ...body,
    parts: body.parts.filter(part => part.key !== key).map(part => (part.part === 'group' ? without(part, key) : part)),
  }
}

/** The same card with a part more. */
export function withPut(body: PartGroup, part: CardPart, slot: Slot): PartGroup {
  if (body.key === slot.group) return { ...body, parts: body.parts.toSpliced(slot.at, 0, part) }
  return { ...body, parts: body.parts.map(one => (one.part === 'group' ? withPut(one, part, slot) : one)) }
}

/** Every place where a part can stand, in the order in which they are read. */
function slotsOf(body: PartGroup): Slot[] {
  return body.parts
    .flatMap<Slot>((part, at) => [{ group: body.key, at }, ...(part.part === 'group' ? slotsOf(part) : [])])
    .concat({ group: body.key, at: body.parts.length })
}

const isSame = (one: Slot, other: Slot) => one.group === other.group && one.at === other.at

/**
 * The same card with a part one place on: past its neighbour, into a group or out of one; null where there is no place
 * further on.
 */
export function stepped(body: PartGroup, key: string, by: 1 | -1): PartGroup | null {
  const row = rowsOf(body).find(one => one.part.key === key)
  if (!row) return null
  const rest = without(body, key)
  const slots = slotsOf(rest)
  const slot = slots[slots.findIndex(one => isSame(one, row.slot)) + by]
  return slot ? withPut(rest, row.part, slot) : null
}

/** The same card with a part in the place of another one; null where that one stands in it. */
export function movedTo(body: PartGroup, key: string, place: string): PartGroup | null {
  const rows = rowsOf(body)
  const from = rows.findIndex(one => one.part.key === key)
  const to = rows.findIndex(one => one.part.key === place)
  const row = rows[from]
  if (!row || to < 0) return null
  const rest = without(body, key)
  const slot = rowsOf(rest).find(one => one.part.key === place)?.slot
  return slot ? withPut(rest, row.part, from < to ? { ...slot, at: slot.at + 1 } : slot) : null
}

/** The same card with a part right before or behind another one; as it is where that one stands in it. */
export function movedBeside(body: PartGroup, key: string, other: string, after: boolean): PartGroup {
  const row = rowsOf(body).find(one => one.part.key === key)
  const rest = without(body, key)
  const slot = rowsOf(rest).find(one => one.part.key === other)?.slot
  return row && slot ? withPut(rest, row.part, after ? { ...slot, at: slot.at + 1 } : slot) : body
}

/** The part under a key that no other part of the card has. */
export function underFreeKey(body: PartGroup, part: CardPart): CardPart {
  const taken = new Set([body.key, ...rowsOf(body).map(row => row.part.key)])
  let key = part.key
  for (let n = 2; taken.has(key); n++) key = `${part.key.slice(0, 36)}-${n}`
  return { ...part, key }
}

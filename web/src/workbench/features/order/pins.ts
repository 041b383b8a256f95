import type { ItemRef, NamedItem, Pin } from '../../../shared/contract'

export const isSame = (a: ItemRef, b: ItemRef) => a.collection === b.collection && a.id === b.id

/** The queries in a line of them, with commas between. */
export const queriesIn = (line: string): string[] =>
  line
    .split(',')
    .map(query => query.trim())
    .filter(query => /[\p{L}\p{N}]/u.test(query))

/** The first free place from the top on. */
function free(put: Pin['put']): number {
  for (let at = 1; ; at++) if (!put.some(one => one.at === at)) return at
}

/** With items put at the top for some queries, or taken out; a pin that has one of the queries already takes them in. */
export function withPinned(
  pins: readonly Pin[],
  queries: string[],
  items: readonly NamedItem[],
  isOut: boolean,
): Pin[] {
  const at = pins.findIndex(pin => pin.queries.some(query => queries.includes(query)))
  const known = pins[at]
  const before: Pin = known
    ? { ...known, queries: [...new Set([...known.queries, ...queries])] }
    : { queries, put: [], takeOut: [], until: null }
  const pin = items.reduce<Pin>((made, { collection, id }) => {
    const item = { collection, id }
    const put = made.put.filter(other => !isSame(other.item, item))
    const takeOut = made.takeOut.filter(other => !isSame(other, item))
    return isOut
      ? { ...made, put, takeOut: [...takeOut, item] }
      : { ...made, put: [...put, { item, at: free(put) }], takeOut }
  }, before)
  return known ? pins.map((other, n) => (n === at ? pin : other)) : [...pins, pin]
}

/** With an item at another place; what stands there changes places with it, so that no two want the same. */
export const withPlace = (pin: Pin, put: Pin['put'][number], place: number): Pin => ({
  ...pin,
  put: pin.put
    .map(one => (one === put ? { ...one, at: place } : one.at === place ? { ...one, at: put.at } : one))
    .sort((a, b) => a.at - b.at),
})

/**
 * Has elements of one parent stand in another order. As few as can be are moved, since each move has the browser lay out
 * again; what else stands among them stays. Elements of several parents have no one order and stay as they are.
 */
export function reorder(elements: readonly Element[]): void {
  const parent = elements[0]?.parentElement
  if (!parent || elements.some(element => element.parentElement !== parent)) return
  const places = new Map([...parent.children].map((child, place) => [child, place]))
  const before = elements.map(element => places.get(element)!)
  const stay = longestRising(before)
  // All at once is quicker than most of them one by one.
  if (elements.length === parent.children.length && stay.size < elements.length / 2) {
    parent.append(...elements)
    return
  }
  let last = elements[0]!
  for (const element of elements) if (places.get(element)! > places.get(last)!) last = element
  for (let at = elements.length - 1; at >= 0; at--) {
    if (stay.has(at)) continue
    const next = elements[at + 1]
    if (next) next.before(elements[at]!)
    else last.after(elements[at]!)
  }
}

/** Where the numbers of a longest rising row of these are; patience sorting. */
function longestRising(numbers: readonly number[]): Set<number> {
  /** By the length of a row, where the lowest number is that ends one so long. */
  const ends: number[] = []
  const previous = new Map<number, number | undefined>()
  numbers.forEach((number, at) => {
    let length = 0
    let most = ends.length
    while (length < most) {
      const middle = (length + most) >> 1
      if (numbers[ends[middle]!]! < number) length = middle + 1
      else most = middle
    }
    previous.set(at, ends[length - 1])
    ends[length] = at
  })
  const row = new Set<number>()
  for (let at = ends.at(-1); at !== undefined; at = previous.get(at)) row.add(at)
  return row
}

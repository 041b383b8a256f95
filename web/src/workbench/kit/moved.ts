/** A list with one of its entries at another place. */
export function moved<Entry>(list: readonly Entry[], from: number, to: number): Entry[] {
  const result = [...list]
  const [one] = result.splice(from, 1)
  if (one !== undefined) result.splice(to, 0, one)
  return result
}

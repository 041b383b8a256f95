/** Parameters of the search itself, which no filter may be called by. */
const TAKEN = ['q', 'page', 'order', 'near', 'place', 'within']
const LONGEST_KEY = 40

/** What is wrong with a filter's name in addresses; empty if nothing is. */
export function wrongWithKey(key: string, others: readonly string[]): string {
  if (!/^[a-z0-9][a-z0-9-]*$/.test(key) || key.length > LONGEST_KEY) return `Small letters, digits and hyphens only, ${LONGEST_KEY} at most.`
  if (TAKEN.includes(key)) return 'The search itself uses this name.'
  return others.includes(key) ? 'Another filter has this name.' : ''
}

/** A free name for a filter with this label. */
export function keyFrom(label: string, others: readonly string[]): string {
  const plain = label.normalize('NFD').toLowerCase().replace(/\p{M}/gu, '').replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '').slice(0, LONGEST_KEY - 4) || 'filter'
  for (let n = 1; ; n++) {
    const key = n === 1 ? plain : `${plain}-${n}`
    if (wrongWithKey(key, others) === '') return key
  }
}

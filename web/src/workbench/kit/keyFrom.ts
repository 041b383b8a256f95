const LONGEST = 36

/** A free name for use in addresses, made of a label: its letters and digits without accents, and hyphens. */
export function keyFrom(label: string, others: readonly string[]): string {
  const plain =
    label
      .normalize('NFD')
      .toLowerCase()
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, LONGEST) || 'other'
  for (let n = 1; ; n++) {
    const key = n === 1 ? plain : `${plain}-${n}`
    if (!others.includes(key)) return key
  }
}

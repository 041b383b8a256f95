import { isByLink, isOfLink, KEPT, tokens } from './draftLink'
import { sharedSearch } from './searchState'

/** What elements send on a test page that was named by its address. */
const TEST_PAGE = '~here'

/** What was heeded on this page: several answers tell the same. */
const heeded = new Set<string>()

/**
 * Does what an answer tells of a draft: `here` where it is one, for all to see; `at` and paths of pages on which the draft
 * stands; `split`, its number and a percentage, where this browser is to draw a side; `over` where what it drew is.
 *
 * @param offer one of these, or two with `; ` between
 */
export function heed(search: string, offer: string): void {
  if (heeded.has(search + offer) || isByLink(search)) return
  heeded.add(search + offer)
  for (const one of offer.split('; ')) {
    const [what, ...rest] = one.split(' ')
    if (what === 'here') void import('./draftNotice').then(({ sayDraft }) => sayDraft(search, false))
    else if (what === 'over') keepSide(search, null)
    else if (what === 'split') draw(search, rest[0]!, Number(rest[1]))
    else if (rest.includes(location.pathname)) {
      tokens.set(search, TEST_PAGE)
      sharedSearch(search).revision++
      return
    }
  }
}

/** The coin that a browser throws once for a split: nothing about the visitor decides it, or is told. */
function draw(search: string, split: string, percent: number): void {
  const side = Math.random() * 100 < percent ? 'd' : 'l'
  // Where it cannot be kept the browser takes no part: it would meet another side on every page.
  if (keepSide(search, `~${split}${side}`) && side === 'd') sharedSearch(search).revision++
}

/**
 * From the next answer on this browser meets one side of a split, or none any more.
 *
 * @param side null for none
 * @returns whether that could be kept; if not, it meets none
 */
function keepSide(search: string, side: string | null): boolean {
  tokens.delete(search)
  if (side !== null) tokens.set(search, side)
  const sides = [...tokens].filter(([, token]) => !isOfLink(token) && token !== TEST_PAGE)
  try {
    localStorage.setItem(KEPT, JSON.stringify(sides))
    return true
  } catch {
    // It would draw another side on every page.
    tokens.delete(search)
    return false
  }
}

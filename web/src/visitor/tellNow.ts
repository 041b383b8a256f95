import type { Source } from './service'
import { tell, type UnknownEntries } from './telling'

const KINDS = { box: 'tidy-search', results: 'tidy-results', filters: 'tidy-filters', list: 'tidy-list' }
/** Below it a window is one of a phone's. */
const NARROW_PX = 600
/** Put in by the build. */
declare const SCRIPT_VERSION: string
const TOLD = 'tidy-lantern-pages'

/** Tells which elements of a search stand on this page, unless just this was told in this visit. */
export function tellNow(search: string, source: Source, entries: UnknownEntries | undefined): void {
  const here = (tag: string) => document.querySelector(`${tag}[search="${CSS.escape(search)}"]`) !== null
  const told = {
    address: location.origin + location.pathname,
    title: document.title,
    elements: Object.entries(KINDS).flatMap(([kind, tag]) => (here(tag) ? [kind] : [])),
    unknown: entries?.count ?? null,
    unknownLinks: entries?.links ?? null,
    // Its number of pixels would tell more of the visitor than of the page.
    width: innerWidth < NARROW_PX ? 'narrow' : 'wide',
    script: SCRIPT_VERSION,
  }
  if (told.elements.length > 0 && isNews(search, told)) tell(search, source, 'pages', told)
}

/** Whether just this was not told in this visit yet; where nothing can be kept, every page tells it. */
function isNews(search: string, told: object): boolean {
  const now = JSON.stringify([search, told])
  try {
    const before = JSON.parse(sessionStorage.getItem(TOLD) ?? '[]') as string[]
    if (before.includes(now)) return false
    sessionStorage.setItem(TOLD, JSON.stringify([...before.slice(-20), now]))
  } catch {
    return true
  }
  return true
}

import type { Hit } from '../shared/contract'
import { draftTokenOf, isByLink } from './draftLink'
import { publicAddress, type Source } from './service'

/**
 * What elements tell the service of themselves: which result was chosen, and on which page they stand. Nothing of the
 * visitor goes along, no cookie and no query; what cannot be told is not.
 */
export function tell(search: string, source: Source, what: 'chosen' | 'pages', told: object): void {
  // What owners do with a draft is no visitor's choice.
  if (source !== 'live' || isByLink(search)) return
  const side = draftTokenOf(search)
  // Text, which a browser sends without asking first whether it may, even as its page goes.
  navigator.sendBeacon(publicAddress(search, what) + (side ? `?tidy-draft=${side}` : ''), JSON.stringify(told))
}

/** Tells that somebody chose a result. */
export function tellChosen(search: string, source: Source, hit: Hit): void {
  tell(search, source, 'chosen', { collection: hit.collection, id: hit.id })
}

/** Entries of a site's own list that are no items of the search: how many, and where the first of them lead. */
export interface UnknownEntries {
  count: number
  links: readonly string[]
}

/** By search, what its list on this page found unknown. */
const unknown = new Map<string, UnknownEntries>()
const waiting = new Map<string, ReturnType<typeof setTimeout>>()
/** After an element came, until all others of the page are there too. */
const PAUSE_MS = 1500

/** Tells once a visit that elements of a search stand on this page, so that the owner sees where it has arrived. */
export function tellPage(search: string, source: Source, found?: UnknownEntries): void {
  // The page hosted by the service is no page of the site.
  if (search === '' || location.href.startsWith(`${new URL(publicAddress(search, 'pages')).origin}/s/`)) return
  if (found) unknown.set(search, found)
  clearTimeout(waiting.get(search))
  const tellLater = () => void import('./tellNow').then(one => one.tellNow(search, source, unknown.get(search)))
  waiting.set(search, setTimeout(tellLater, PAUSE_MS))
}

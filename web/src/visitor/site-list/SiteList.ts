import { effectScope, reactive, watch, type EffectScope } from 'vue'
import type { ListedAddresses, SpokenTexts } from '../../shared/contract'
import { tell } from '../events'
import { sharedSearch, type SearchState } from '../searchState'
import { fetchAddresses, fetchTexts, type Source } from '../service'
import { textsOf } from '../speech'
import { tellPage } from '../telling'
import { containerOf, entryOf, KnownAddresses, linkAddress, type Entry } from './entries'

/** How a list of the site's own is narrowed, as its attributes say. */
export interface ListWays {
  search: string
  source: Source
  /** Which elements are its entries; empty for the children of the list. */
  entries: string
  /** Whether they stand in the search's order while something is asked for. */
  ordered: boolean
  /** Whether an entry that the search does not know goes while something is asked for. */
  unknownGo: boolean
}

/**
 * Narrows a list that the site draws itself: its entries stay what they are, and those that are not found are not shown.
 * Once everything is cleared, the whole list stands as it stood.
 */
export class SiteList {
  private readonly scope: EffectScope
  private readonly state: SearchState
  private entries: Entry[] = []
  private known: KnownAddresses | null = null
  private found: ListedAddresses | null = null
  private readonly came = new MutationObserver(() => this.takeIn())
  private readonly spoken = reactive<{ texts: SpokenTexts | null }>({ texts: null })

  /** @param say puts a line for visitors below the list, or takes it away */
  constructor(
    private readonly host: HTMLElement,
    private readonly ways: ListWays,
    private readonly say: (line: string) => void,
  ) {
    this.state = sharedSearch(ways.search)
    this.state.resultsHere++
    this.takeIn()
    this.scope = effectScope()
    this.scope.run(() => {
      watch(
        () => JSON.stringify([this.state.query, this.state.filters, this.state.revision]),
        (_now, before, onCleanup) => {
          const { query, page, filters } = this.state
          const { search } = this.ways
          if (before !== undefined) tell(this.host, 'tidy-query', { search, query, page, filters: { ...filters } })
          const stale = new AbortController()
          onCleanup(() => stale.abort())
          void this.ask(stale.signal)
        },
        { immediate: true },
      )
    })
  }

  /** Leaves the list as it was. */
  end(): void {
    this.scope.stop()
    this.state.resultsHere--
    this.found = null
    this.draw()
    // Drawing watches again; two that watched one list would put it into order after each other without end.
    this.came.disconnect()
  }

  private async ask(signal: AbortSignal): Promise<void> {
    const { search, source } = this.ways
    const { query, filters } = this.state
    try {
      this.spoken.texts ??= await fetchTexts(search, source, 0)
      // What the search knows at all is asked for once, since whoever draws the list does not know it.
      const all = this.known ? null : await fetchAddresses(search, source, '', {}, signal)
      const isPlain = query === '' && Object.keys(filters).length === 0
      const found = all && isPlain ? all : await fetchAddresses(search, source, query, filters, signal)
      if (signal.aborted) return
      if (all) this.learn(all)
      this.found = found
      this.draw()
      this.say(found.whole ? '' : this.line())
      tell(this.host, 'tidy-results', { search, answer: found })
    } catch (error) {
      if (signal.aborted) return
      console.error(`<tidy-list search="${search}">`, error)
      this.say(this.texts().say('failed'))
    }
  }

  private readonly texts = () =>
    textsOf(
      () => this.spoken.texts,
      () => this.state.language ?? '',
    )

  /** What is said of what is found; entries that the search does not know are none of it. */
  private line(): string {
    const { say, nothingFor } = this.texts()
    const places = this.places()
    const count = this.entries.filter(entry => places.has(this.itemOf(entry))).length
    return count > 0 ? say('count', { count }) : nothingFor(this.state.query)
  }

  /** The number of the item that an entry is, among all that the search knows; null for none. */
  private itemOf(entry: Entry): number | null {
    return this.known?.find(entry.addresses) ?? null
  }

  /** The places of what is found, by the items' numbers: an address means what it means among all, not among these. */
  private places(): Map<number | null, number> {
    const places = new Map<number | null, number>()
    this.found?.addresses.forEach((written, place) => {
      const address = linkAddress(written, document.baseURI)
      const item = address ? this.known?.find([address]) : null
      if (item !== null && item !== undefined && !places.has(item)) places.set(item, place)
    })
    return places
  }

  private learn(all: ListedAddresses): void {
    this.known = new KnownAddresses(all.addresses, document.baseURI)
    const unknown = this.entries.filter(entry => this.itemOf(entry) === null)
    const links = unknown
      .slice(0, 20)
      .map(({ addresses, element }) => addresses[0]?.whole ?? element.textContent?.trim() ?? '')
    tellPage(this.ways.search, this.ways.source, { count: unknown.length, links })
    if (unknown.length === 0) return
    const named = unknown.slice(0, 10).map(entry => entry.element.textContent?.trim().slice(0, 60))
    console.warn(
      `<tidy-list search="${this.ways.search}">: the search does not know ${unknown.length} of ` +
        `${this.entries.length} entries, by where their links lead: ${named.join('; ')}`,
    )
  }

  /** Takes the entries as they are now; those that the site's own script adds later come in where it put them. */
  private takeIn(): void {
    const container = containerOf(this.host)
    const elements = [
      ...(this.ways.entries ? this.host.querySelectorAll<HTMLElement>(this.ways.entries) : container.children),
    ].filter(one => one instanceof HTMLElement)
    const before = new Map(this.entries.map(entry => [entry.element, entry]))
    // In the order of the page before anything was put into another.
    const entries = this.entries.filter(entry => elements.includes(entry.element))
    for (const element of elements) {
      if (before.has(element)) continue
      const ahead = entries.findIndex(entry => entry.element === element.previousElementSibling)
      entries.splice(ahead + 1, 0, entryOf(element))
    }
    this.entries = entries
    this.draw()
  }

  private draw(): void {
    this.came.disconnect()
    const isWhole = this.found === null || this.found.whole
    const places = isWhole ? null : this.places()
    const placed = this.entries.map((entry, at) => {
      const item = this.itemOf(entry)
      const place = item === null ? null : (places?.get(item) ?? null)
      const isUnknown = this.known !== null && item === null
      return { entry, at, place, shown: isWhole || place !== null || (isUnknown && !this.ways.unknownGo) }
    })
    for (const { entry, shown } of placed) show(entry.element, shown)
    if (this.ways.ordered) {
      const order = [...placed].sort((a, b) => (a.place ?? Infinity) - (b.place ?? Infinity) || a.at - b.at)
      putInOrder((isWhole ? placed : order).map(one => one.entry.element))
    }
    this.came.observe(containerOf(this.host), { childList: true })
  }
}

const NOT_SHOWN = 'tidyNotShown'

/** By the attribute that says it, and by the one rule that no style sheet of a site undoes. */
function show(element: HTMLElement, shown: boolean): void {
  const isHidden = NOT_SHOWN in element.dataset
  if (shown === !isHidden) return
  element.hidden = !shown
  if (shown) {
    delete element.dataset[NOT_SHOWN]
    element.style.removeProperty('display')
  } else {
    element.dataset[NOT_SHOWN] = ''
    element.style.setProperty('display', 'none', 'important')
  }
}

/** Moves what stands elsewhere, and leaves the rest where it is. */
function putInOrder(elements: readonly HTMLElement[]): void {
  // What stands in several parts of a page has no one order.
  if (elements.some(element => element.parentElement !== elements[0]?.parentElement)) return
  for (let at = elements.length - 2; at >= 0; at--) {
    const element = elements[at]!
    const next = elements[at + 1]!
    if (element.nextElementSibling !== next) next.before(element)
  }
}

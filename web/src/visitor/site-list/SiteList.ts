import { effectScope, reactive, watch, type EffectScope } from 'vue'
import type { ListedAddresses, SpokenTexts } from '../../shared/contract'
import { tell } from '../events'
import { sharedSearch, type SearchState } from '../searchState'
import { fetchAddresses, fetchTexts, type Source } from '../service'
import { textsOf } from '../speech'
import { tellPage } from '../telling'
import { containerOf, entryOf, KnownAddresses, type Entry } from './entries'
import { reorder } from './reorder'

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
  /** The places of what is found, by the items' numbers: an address means what it means among all, not among these. */
  private places = new Map<number, number>()
  /** By entry, the number of the item that it is among all that the search knows; null for none. */
  private items = new WeakMap<Entry, number | null>()
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
      this.places = this.placesOf(found)
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
    const count = this.entries.filter(entry => this.placeOf(entry) !== null).length
    return count > 0 ? say('count', { count }) : nothingFor(this.state.query)
  }

  private itemOf(entry: Entry): number | null {
    const known = this.items.get(entry)
    if (known !== undefined || !this.known) return known ?? null
    const item = this.known.find(entry.addresses)
    this.items.set(entry, item)
    return item
  }

  /** The place of an entry among what is found; null where it is not. */
  private placeOf(entry: Entry): number | null {
    const item = this.itemOf(entry)
    return item === null ? null : (this.places.get(item) ?? null)
  }

  private placesOf(found: ListedAddresses): Map<number, number> {
    const places = new Map<number, number>()
    found.addresses.forEach((written, place) => {
      const item = this.known?.numberOf(written) ?? null
      if (item !== null && !places.has(item)) places.set(item, place)
    })
    return places
  }

  private learn(all: ListedAddresses): void {
    this.known = new KnownAddresses(all.addresses, document.baseURI)
    this.items = new WeakMap()
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
    const now = new Set(elements)
    const before = new Set(this.entries.map(entry => entry.element))
    // In the order of the page before anything was put into another.
    const entries = this.entries.filter(entry => now.has(entry.element))
    // Those that came, behind the entry that they stand behind.
    const behind = new Map<Element | null, Entry[]>()
    let ahead: Element | null = null
    for (const element of elements) {
      if (before.has(element)) ahead = element
      else if (behind.has(ahead)) behind.get(ahead)!.push(entryOf(element))
      else behind.set(ahead, [entryOf(element)])
    }
    this.entries = [
      ...(behind.get(null) ?? []),
      ...entries.flatMap(entry => [entry, ...(behind.get(entry.element) ?? [])]),
    ]
    this.draw()
  }

  private draw(): void {
    this.came.disconnect()
    const isWhole = this.found === null || this.found.whole
    const placed = this.entries.map((entry, at) => {
      const place = isWhole ? null : this.placeOf(entry)
      const isUnknown = this.known !== null && this.itemOf(entry) === null
      return { entry, at, place, shown: isWhole || place !== null || (isUnknown && !this.ways.unknownGo) }
    })
    // Nobody sees where those stand that are not shown: moving them would cost most.
    for (const { entry, shown } of placed) if (!shown) show(entry.element, false)
    const inSight = placed.filter(one => one.shown)
    if (this.ways.ordered) {
      const order = isWhole
        ? inSight
        : [...inSight].sort((a, b) => (a.place ?? Infinity) - (b.place ?? Infinity) || a.at - b.at)
      reorder(order.map(one => one.entry.element))
    }
    for (const { entry } of inSight) show(entry.element, true)
    this.came.observe(containerOf(this.host), { childList: true })
  }
}

/** How an entry that is out of sight stands by its own tag; a page may hide entries of its own, which stay so. */
const ownDisplay = new WeakMap<HTMLElement, string>()

/** By the one rule that no style sheet of a site undoes; a copy that the site makes of an entry has it, too. */
const isOutOfSight = ({ style }: HTMLElement) =>
  style.display === 'none' && style.getPropertyPriority('display') === 'important'

function show(element: HTMLElement, shown: boolean): void {
  if (shown !== isOutOfSight(element)) return
  if (shown) {
    element.style.display = ownDisplay.get(element) ?? ''
  } else {
    ownDisplay.set(element, element.style.display)
    element.style.setProperty('display', 'none', 'important')
  }
}

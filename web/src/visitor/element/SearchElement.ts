import type { Filters } from '../address'
import { isByLink } from '../draftLink'
import type { Source } from '../service'
import { tellPage } from '../telling'

/**
 * What all elements of a search are to a page and its own script: one search by its key, what it was asked and answered
 * last, and ways to ask.
 */
export abstract class SearchElement extends HTMLElement {
  protected readonly root: ShadowRoot
  private answered: unknown = null

  /** @param delegatesFocus whether a focus on the element goes to what is drawn in it */
  constructor(delegatesFocus: boolean) {
    super()
    // Open, so that a site's own script and tests can look.
    this.root = this.attachShadow({ mode: 'open', delegatesFocus })
    this.addEventListener('tidy-results', event => {
      if (event.target === this) this.answered = (event as CustomEvent<{ answer: unknown }>).detail.answer
    })
  }

  /** Called as the element comes to stand on a page. */
  protected abstract begin(): void

  /** Called once it stands on no page any more. */
  protected abstract end(): void

  connectedCallback(): void {
    if (isByLink(this.search)) void import('../draftNotice').then(({ sayDraft }) => sayDraft(this.search, true))
    tellPage(this.search, this.source)
    this.begin()
  }

  disconnectedCallback(): void {
    // Where it was only moved, it stands on the page again by then.
    queueMicrotask(() => {
      if (!this.isConnected) this.end()
    })
  }

  /** The key of the search. */
  get search(): string {
    return this.getAttribute('search') ?? ''
  }
  set search(key: string) {
    this.setAttribute('search', key)
  }

  /** Which design answers; the owner's stage sets it. */
  get source(): Source {
    return (/^(draft|version-\d+)$/.exec(this.getAttribute('source') ?? '')?.[0] ?? 'live') as Source
  }
  set source(source: Source) {
    this.setAttribute('source', source)
  }

  /** The last answer that the element showed, as the service gave it; null before there is one. */
  get answer(): unknown {
    return this.answered
  }

  /**
   * Has the search show what is found by other words on this page, as if somebody had asked.
   *
   * @param filters what is set, by the filters' keys; what is set already where nothing is said
   * @returns once it is asked, not once it is answered
   */
  async ask(query: string, filters?: Filters): Promise<void> {
    const { sharedSearch, show } = await import('../searchState')
    const state = sharedSearch(this.search)
    show(state, query.trim(), 1, filters ?? state.filters)
  }

  /** Has all elements of the search on this page ask the service anew. */
  async refresh(): Promise<void> {
    const { sharedSearch } = await import('../searchState')
    sharedSearch(this.search).revision++
  }
}

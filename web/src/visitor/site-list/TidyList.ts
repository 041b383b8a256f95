import type { Source } from '../service'
import type { SiteList } from './SiteList'

const ATTRIBUTES = ['search', 'source', 'entries', 'ordered', 'unknown']

/**
 * `<tidy-list search="KEY">` around a list that the site draws itself. What it holds shows from the first moment, with
 * script or without.
 */
export class TidyList extends HTMLElement {
  static observedAttributes = ATTRIBUTES
  private readonly line: HTMLElement
  private list: SiteList | null = null

  constructor() {
    super()
    const root = this.attachShadow({ mode: 'open' })
    this.line = document.createElement('p')
    this.line.setAttribute('role', 'status')
    this.line.setAttribute('part', 'status')
    root.append(this.line, document.createElement('slot'))
  }

  connectedCallback(): void {
    // While a page is read, what an element holds comes after it.
    if (document.readyState === 'loading')
      document.addEventListener('DOMContentLoaded', () => void this.begin(), { once: true })
    else void this.begin()
  }

  disconnectedCallback(): void {
    this.list?.end()
    this.list = null
  }

  attributeChangedCallback(): void {
    if (this.list) void this.begin()
  }

  private async begin(): Promise<void> {
    const { SiteList } = await import('./SiteList')
    this.list?.end()
    this.list = null
    const search = this.getAttribute('search')
    if (!this.isConnected || !search) return
    const source: Source = this.getAttribute('source') === 'draft' ? 'draft' : 'live'
    const ways = {
      search,
      source,
      entries: this.getAttribute('entries') ?? '',
      ordered: this.hasAttribute('ordered'),
      unknownGo: this.getAttribute('unknown') === 'go',
    }
    this.list = new SiteList(this, ways, line => {
      this.line.textContent = line
      this.line.hidden = line === ''
    })
  }
}

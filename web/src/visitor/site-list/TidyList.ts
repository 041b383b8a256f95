import { SearchElement } from '../element/SearchElement'
import type { SiteList } from './SiteList'

/**
 * `<tidy-list search="KEY">` around a list that the site draws itself. What it holds shows from the first moment, with
 * script or without.
 */
export class TidyList extends SearchElement {
  static observedAttributes = ['search', 'source', 'entries', 'ordered', 'unknown']
  private readonly line: HTMLElement
  private list: SiteList | null = null

  constructor() {
    super(false)
    this.line = document.createElement('p')
    this.line.setAttribute('role', 'status')
    this.line.setAttribute('part', 'status')
    this.root.append(this.line, document.createElement('slot'))
  }

  protected override begin(): void {
    // While a page is read, what an element holds comes after it.
    if (document.readyState === 'loading')
      document.addEventListener('DOMContentLoaded', () => void this.narrow(), { once: true })
    else void this.narrow()
  }

  protected override end(): void {
    this.list?.end()
    this.list = null
  }

  attributeChangedCallback(): void {
    if (this.list) void this.narrow()
  }

  private async narrow(): Promise<void> {
    const { SiteList } = await import('./SiteList')
    this.end()
    if (!this.isConnected || !this.search) return
    const ways = {
      search: this.search,
      source: this.source,
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

import type { Filters } from '../address'
import { TidyElement } from '../element/TidyElement'
import { showUntilDrawn, UNTIL_DRAWN } from '../element/untilDrawn'
import { RestingBox } from './RestingBox'

/** `<tidy-search search="KEY">`: a search box, at rest until somebody turns to it. */
export class TidySearchElement extends TidyElement {
  static observedAttributes = ['search', 'source', 'label', 'placeholder', 'results-page']
  private resting: RestingBox | null = null
  private waking: Promise<void> | null = null
  private asked = 0

  protected override load() {
    return import('../TidySearch.vue').then(one => one.default)
  }

  protected override begin(): void {
    if (this.waking || this.resting) return
    // A form that works without script may stand in it.
    if (this.root.childNodes.length === 0) showUntilDrawn(this.root)
    // The owner's stage changes too much for a box to rest.
    if (this.search === '' || this.source !== 'live') void this.wake()
    else this.rest()
  }

  private rest(): void {
    this.resting = new RestingBox(this, this.root, {
      search: this.search,
      label: this.getAttribute('label') ?? '',
      placeholder: this.getAttribute('placeholder') ?? '',
      resultsPage: this.getAttribute('results-page') ?? '',
      wake: () => void this.wake(),
    })
  }

  private wake(): Promise<void> {
    this.waking ??= this.drawAwake(this.resting)
    return this.waking
  }

  private async drawAwake(resting: RestingBox | null): Promise<void> {
    await Promise.all([import('../element/draw'), this.load()])
    await resting?.whenLetGo()
    // It may have been taken off the page meanwhile, and be at rest on another.
    if (!this.isConnected || this.resting !== resting) return
    resting?.end()
    this.give('resting', resting)
    await this.draw()
  }

  protected override end(): void {
    this.resting?.end()
    super.end()
    this.root.querySelector(`.${UNTIL_DRAWN}`)?.remove()
    this.resting = null
    this.waking = null
    this.given.resting = null
  }

  override attributeChangedCallback(name: string, before: string | null, now: string | null): void {
    super.attributeChangedCallback(name, before, now)
    if (!this.resting || this.waking || before === now) return
    this.end()
    this.begin()
  }

  /** Has the box ask, as if somebody had typed these words and pressed Enter: it leads to where all results are. */
  override async ask(query: string, filters?: Filters): Promise<void> {
    await this.wake()
    this.give('asked', { query, filters, number: ++this.asked })
  }
}

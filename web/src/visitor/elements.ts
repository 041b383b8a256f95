/**
 * The script that a site's one tag loads: defines the elements, which then find each other by the search's key. What an
 * element is made of comes once one stands on the page, and all but the look of a search box once somebody turns to it.
 */
import { showingNow } from './address'
import { TidySearchElement } from './box/TidySearchElement'
import { TidyElement } from './element/TidyElement'
import { showUntilDrawn } from './element/untilDrawn'
import { learnLanguage } from './pageLanguage'
import { askEarly } from './service'
import { TidyList } from './site-list/TidyList'

class TidyResultsElement extends TidyElement {
  static observedAttributes = ['search', 'source']

  protected override begin(): void {
    // The hosted page holds results that were drawn without script.
    if (this.hasAttribute('drawn') && this.root.childNodes.length === 0) showUntilDrawn(this.root)
    super.begin()
  }

  protected override near(): void {
    if (this.search !== '' && this.source === 'live' && !this.isDrawn) {
      learnLanguage(this.search, this)
      askEarly(this.search, showingNow(this.search))
    }
    super.near()
  }

  protected override load() {
    return import('./TidyResults.vue').then(one => one.default)
  }

  /** Why a result stands where it stands, in words; the owner's stage sets it. */
  set standing(said: unknown) {
    this.give('standing', said)
  }
}

class TidyFiltersElement extends TidyElement {
  static observedAttributes = ['search', 'source', 'results-page']

  protected override load() {
    return import('./TidyFilters.vue').then(one => one.default)
  }
}

const ELEMENTS = {
  'tidy-search': TidySearchElement,
  'tidy-results': TidyResultsElement,
  'tidy-filters': TidyFiltersElement,
  'tidy-list': TidyList,
}
for (const [name, element] of Object.entries(ELEMENTS)) {
  // The tag may stand on the page twice.
  if (!customElements.get(name)) customElements.define(name, element)
}

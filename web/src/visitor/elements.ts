/**
 * The script that a site's one tag loads: defines the elements, which then find each other by the search's key. What an
 * element is made of comes once one stands on the page.
 */
import { defineAsyncComponent, defineCustomElement, type Component } from 'vue'
import { TidyList } from './site-list/TidyList'
import { showUntilDrawn } from './useUntilDrawn'

function define(name: string, load: () => Promise<Component>, attributes: string[]): void {
  if (customElements.get(name)) return // the tag stands on the page twice
  const Base = defineCustomElement(defineAsyncComponent(load) as Parameters<typeof defineCustomElement>[0], {
    shadowRootOptions: { delegatesFocus: true },
    configureApp: app => {
      app.config.errorHandler = error => console.error(`<${name}>`, error)
    },
  })
  // Vue alone stops hearing attributes once an element was taken out and put back.
  customElements.define(
    name,
    class extends (Base as unknown as typeof HTMLElement) {
      static observedAttributes = attributes
      constructor() {
        super()
        // A box has a form in it that works without script; of results only the hosted page holds some.
        if (this.shadowRoot && (name === 'tidy-search' || this.hasAttribute('drawn'))) showUntilDrawn(this.shadowRoot)
      }
      attributeChangedCallback(attribute: string) {
        ;(this as unknown as { _setAttr: (name: string) => void })._setAttr(attribute)
      }
    },
  )
}

const loaded = (module: Promise<{ default: Component }>) => module.then(one => one.default)
define('tidy-search', () => loaded(import('./TidySearch.vue')), ['search', 'source', 'label', 'placeholder'])
define('tidy-results', () => loaded(import('./TidyResults.vue')), ['search', 'source'])
define('tidy-filters', () => loaded(import('./TidyFilters.vue')), ['search', 'source'])

if (!customElements.get('tidy-list')) customElements.define('tidy-list', TidyList)

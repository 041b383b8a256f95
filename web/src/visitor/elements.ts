/** The script that a site's one tag loads: defines the elements, which then find each other by the search's key. */
import { defineCustomElement, type Component } from 'vue'
import TidyFilters from './TidyFilters.vue'
import TidyResults from './TidyResults.vue'
import TidySearch from './TidySearch.vue'

function define(name: string, component: Component, attributes: string[]): void {
  if (customElements.get(name)) return // the tag stands on the page twice
  const Base = defineCustomElement(component as Parameters<typeof defineCustomElement>[0], {
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
      attributeChangedCallback(attribute: string) {
        ;(this as unknown as { _setAttr: (name: string) => void })._setAttr(attribute)
      }
    },
  )
}

define('tidy-search', TidySearch, ['search', 'source', 'label', 'placeholder'])
define('tidy-results', TidyResults, ['search', 'source'])
define('tidy-filters', TidyFilters, ['search', 'source'])

import { useShadowRoot } from 'vue'
import cards from './cards/cards.css?inline'
import css from './visitor.css?inline'

let sheet: CSSStyleSheet | undefined

/** Gives the element its look. An adopted sheet, because a site's strict `style-src` would strip a `<style>`. */
export function useTheme(): void {
  const root = useShadowRoot()
  if (!sheet) {
    sheet = new CSSStyleSheet()
    sheet.replaceSync(css + cards)
  }
  if (root) root.adoptedStyleSheets = [sheet]
}

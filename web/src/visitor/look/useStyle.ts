import { inject, provide, useShadowRoot, type InjectionKey } from 'vue'

const ROOT: InjectionKey<ShadowRoot> = Symbol('shadow root')
const sheets = new Map<string, CSSStyleSheet>()
const forms = new WeakSet<CSSStyleSheet>()

/** Has all that stands in an element find the root that its style belongs to. */
export function provideStyleRoot(): void {
  const root = useShadowRoot()
  if (root) provide(ROOT, root)
}

/**
 * How a part of the elements is made, whatever it wears; it comes before that, which has the last word. Adopted,
 * because a site's strict `style-src` would strip a `<style>`.
 */
export function useStyle(css: string): void {
  const root = useShadowRoot() ?? inject(ROOT, null)
  if (!root) return
  let sheet = sheets.get(css)
  if (!sheet) {
    sheet = new CSSStyleSheet()
    sheet.replaceSync(css)
    sheets.set(css, sheet)
    forms.add(sheet)
  }
  const adopted = root.adoptedStyleSheets
  if (adopted.includes(sheet)) return
  const worn = adopted.filter(one => !forms.has(one))
  root.adoptedStyleSheets = [...adopted.filter(one => forms.has(one)), sheet, ...worn]
}

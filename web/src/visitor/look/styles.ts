const sheets = new Map<string, CSSStyleSheet>()
const forms = new WeakSet<CSSStyleSheet>()

/**
 * How a part of the elements is made, whatever it wears; it comes before that, which has the last word. Adopted,
 * because a site's strict `style-src` would strip a `<style>`.
 */
export function adoptStyle(root: ShadowRoot, css: string): void {
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

/** What shows in an element until it is drawn has this class, so that nothing jumps. */
export const UNTIL_DRAWN = 'until-drawn'

/** Has what an element holds on the page show until its component is drawn. */
export function showUntilDrawn(root: ShadowRoot): void {
  const slot = document.createElement('slot')
  slot.className = UNTIL_DRAWN
  root.append(slot)
}

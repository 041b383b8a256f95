/**
 * A link that shows the draft of a search on the site's own pages, for whoever has it:
 * `https://the-site.example/page#tidy-draft=KEY.TOKEN`. It holds for the tab that it was opened in, on all pages of the
 * site. What begins with `~` comes of no link: it says which side of a split this browser drew, which holds until that
 * is over, or that this is a test page.
 */
const NAME = 'tidy-draft'
export const KEPT = 'tidy-lantern-drafts'

/** By search; changed here and where a side of a split is drawn. */
export const tokens = new Map<string, string>([...kept(() => localStorage), ...kept(() => sessionStorage)])

/** @param where asked for here, since browsers may refuse even that */
function kept(where: () => Storage): [string, string][] {
  try {
    return JSON.parse(where().getItem(KEPT) ?? '[]') as [string, string][]
  } catch {
    // Where nothing can be kept, a link holds for its own page.
    return []
  }
}

/** Keeps the links that hold, for the other pages of this tab. */
export function keep(): void {
  try {
    sessionStorage.setItem(KEPT, JSON.stringify([...tokens].filter(([, token]) => isOfLink(token))))
  } catch {
    // As where it is read: the link then holds for this page.
  }
}
export const isOfLink = (token: string) => token[0] !== '~'

/** Takes the token out of the page's address, if there is one in it. */
function take(): void {
  const fragment = new URLSearchParams(location.hash.slice(1))
  const link = fragment.get(NAME)
  const dot = link?.indexOf('.') ?? -1
  if (!link || dot < 1) return
  tokens.set(link.slice(0, dot), link.slice(dot + 1))
  keep()
  fragment.delete(NAME)
  const rest = fragment.toString()
  history.replaceState(history.state, '', location.pathname + location.search + (rest ? `#${rest}` : ''))
}
take()

/** What makes the draft of a search, or a side of a split, answer on this page; null for nothing. */
export const draftTokenOf = (search: string): string | null => tokens.get(search) ?? null

/** Whether a link to the draft of a search was followed in this tab. */
export const isByLink = (search: string): boolean => isOfLink(tokens.get(search) ?? '~')

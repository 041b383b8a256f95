/**
 * A link that shows the draft of a search on the site's own pages, for whoever has it:
 * `https://the-site.example/page#tidy-draft=KEY.TOKEN`. It holds for the tab that it was opened in, on all pages of the
 * site.
 */
const NAME = 'tidy-draft'
const KEPT = 'tidy-lantern-drafts'

const tokens = new Map<string, string>(kept())

function kept(): [string, string][] {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT) ?? '[]') as [string, string][]
  } catch {
    // Where nothing can be kept, a link holds for its own page.
    return []
  }
}

function keep(): void {
  try {
    sessionStorage.setItem(KEPT, JSON.stringify([...tokens]))
  } catch {
    // As where it is read: the link then holds for this page.
  }
}

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

/** The token of a link to the draft of a search that was followed in this tab; null where none was. */
export const draftTokenOf = (search: string): string | null => tokens.get(search) ?? null

/** Shows what visitors see again, from the next answer on. */
export function leaveDraft(search: string): void {
  tokens.delete(search)
  keep()
}

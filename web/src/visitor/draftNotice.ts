import { keep, tokens } from './draftLink'
import { adoptStyle } from './look/styles'

const CSS = `
:host { all: initial; position: fixed; inset: auto auto 12px 12px; z-index: 2147483001; }
p {
  display: flex; align-items: center; gap: 12px; margin: 0; padding: 8px 8px 8px 14px;
  font: 600 14px/1.3 system-ui, sans-serif; color: #fff; background: #1b2a33; border-radius: 8px;
  box-shadow: 0 6px 24px rgb(0 0 0 / 30%);
}
button {
  min-height: 36px; padding: 0 12px; font: inherit; color: #1b2a33; background: #fff; border: 0; border-radius: 6px;
  cursor: pointer;
}
button:focus-visible { outline: 3px solid #8ed3d4; outline-offset: 2px; }
`

/**
 * Says on a page that it shows a draft. Only owners and those they sent a link, or let see a test page, read it.
 *
 * @param byLink whether it is the draft by a link, which can be left; a test page shows nothing else
 */
export function sayDraft(search: string, byLink: boolean): void {
  // Framed in the workbench, it stands beside what says so.
  if (window !== top || document.querySelector('[data-tidy-draft]')) return
  const notice = document.createElement('div')
  notice.dataset.tidyDraft = search
  const root = notice.attachShadow({ mode: 'open' })
  adoptStyle(root, CSS)
  const line = document.createElement('p')
  line.setAttribute('role', 'status')
  line.append(byLink ? 'This page shows your draft.' : 'This is a test page: it shows your draft.')
  if (byLink) line.append(wayOut(search))
  root.append(line)
  document.body.append(notice)
}

function wayOut(search: string): HTMLElement {
  const leave = document.createElement('button')
  leave.textContent = 'Show what visitors see'
  leave.addEventListener('click', () => leaveDraft(search))
  return leave
}

/** Shows what visitors see again, on this page and all others of the tab. */
export function leaveDraft(search: string): void {
  tokens.delete(search)
  keep()
  location.reload()
}

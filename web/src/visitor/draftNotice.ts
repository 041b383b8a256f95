import { draftTokenOf, leaveDraft } from './draftLink'
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

/** Says on a page that it shows a draft, with the way out. Only owners and those they sent a link read it. */
export function sayDraft(search: string): void {
  // Framed in the workbench, it stands beside what says so.
  if (draftTokenOf(search) === null || window !== top || document.querySelector('[data-tidy-draft]')) return
  const notice = document.createElement('div')
  notice.dataset.tidyDraft = search
  const root = notice.attachShadow({ mode: 'open' })
  adoptStyle(root, CSS)
  const line = document.createElement('p')
  line.setAttribute('role', 'status')
  const leave = document.createElement('button')
  leave.textContent = 'Show what visitors see'
  leave.addEventListener('click', () => {
    leaveDraft(search)
    location.reload()
  })
  line.append('This page shows your draft.', leave)
  root.append(line)
  document.body.append(notice)
}

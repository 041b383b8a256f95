/*
 * The site's own script: it notes what visitors look for, as an analytics of the site's own would, by the events that
 * the search's elements send, and asks by script. Nothing that it hears leaves the tab.
 */
const KEPT = 'quillhaven-heard'
const MOST = 12
const list = document.querySelector('.heard ol')

/** Storage may be refused; then only this page is remembered. */
function kept() {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT) ?? '[]')
  } catch {
    return []
  }
}
let heard = kept()

function draw() {
  list.replaceChildren(
    ...heard.map(line => {
      const item = document.createElement('li')
      item.textContent = line
      return item
    }),
  )
}

function note(line) {
  if (heard[0] === line) return
  heard = [line, ...heard].slice(0, MOST)
  try {
    sessionStorage.setItem(KEPT, JSON.stringify(heard))
  } catch {
    // Heard on this page alone.
  }
  draw()
}

const words = query => (query === '' ? 'everything' : `“${query}”`)

document.addEventListener('tidy-query', ({ detail }) => {
  const set = Object.entries(detail.filters).filter(([, values]) => values.length > 0)
  const narrowed = set.map(([key, values]) => `${key}: ${values.join(', ')}`).join('; ')
  note(
    `Asked for ${words(detail.query)}${narrowed && `, ${narrowed}`}${detail.page > 1 ? `, page ${detail.page}` : ''}`,
  )
})
document.addEventListener('tidy-results', ({ detail }) => {
  note(`${detail.answer.total} found for ${words(detail.answer.query)}`)
})
document.addEventListener('tidy-choose', ({ detail }) => {
  note(`Opened ${detail.address} from the ${detail.from === 'live' ? 'live results' : 'list'}`)
})

// Ways to ask that the site offers itself; without script they are links.
for (const link of document.querySelectorAll('a[data-ask]')) {
  link.addEventListener('click', event => {
    if (event.ctrlKey || event.metaKey || event.shiftKey) return
    event.preventDefault()
    void document.querySelector('tidy-results').ask(link.dataset.ask)
  })
}
draw()

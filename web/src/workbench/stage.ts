/**
 * The page inside the stage: the very script that sites load, in the place the owner wants to see, answering from the
 * draft; or, while cards are composed, one item on its card in every place.
 */
import '@fontsource-variable/figtree'
import { pretendHere } from './features/stage/pretences'
import './stage.css'

// Behind the #, since what stands before it is the visitor's, as on any page.
const parameters = new URLSearchParams(location.hash.slice(1))
const search = parameters.get('search') ?? ''
const place = parameters.get('place') ?? 'results'

const element = (name: string) => {
  const made = document.createElement(name)
  made.setAttribute('search', search)
  made.setAttribute('source', parameters.get('source') ?? 'draft')
  return made
}
const heading = document.createElement('h1')
heading.textContent = parameters.get('site') ?? 'Your site'

/** Text of a page, in the shape of lines. */
function lines(...widths: string[]) {
  const body = document.createElement('div')
  body.className = 'page-body'
  for (const width of widths) {
    const line = document.createElement('span')
    line.style.width = width
    body.append(line)
  }
  return body
}
function header(...inIt: HTMLElement[]) {
  const top = document.createElement('header')
  top.className = 'page-top'
  const name = document.createElement('strong')
  name.textContent = heading.textContent
  name.setAttribute('aria-hidden', 'true')
  top.append(name, ...inIt)
  return top
}

const main = document.createElement('main')
const body = () => lines('38%', '92%', '86%', '90%', '64%')
if (place === 'header') {
  main.append(heading, body())
  document.body.prepend(header(element('tidy-search')), main)
} else if (place === 'page') {
  main.append(heading, lines('46%', '72%'), element('tidy-search'), body())
  document.body.prepend(header(), main)
} else if (place === 'side') {
  const side = document.createElement('aside')
  side.append(element('tidy-search'), lines('70%', '88%', '62%'))
  main.className = 'with-side'
  main.append(heading, body(), side)
  document.body.prepend(header(), main)
} else if (place === 'home') {
  main.append(heading, element('tidy-filters'), body())
  document.body.prepend(header(), main)
} else if (place === 'cards') {
  // No element of the site's: what draws cards there draws one item in every place.
  const { defineSpecimens } = await import('./features/stage/specimens')
  defineSpecimens()
  main.append(heading, element('tidy-specimens'))
  document.body.prepend(main)
} else {
  main.append(heading, element('tidy-search'), element('tidy-results'))
  document.body.prepend(main)
}

if (place !== 'cards') {
  pretendHere(search)
  const script = document.createElement('script')
  script.type = 'module'
  script.src = '/elements/tidy-lantern.js'
  document.head.append(script)
}

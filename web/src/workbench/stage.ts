/**
 * The page inside the stage: the very script that sites load, in the place the owner wants to see, answering from the
 * draft; or, while cards are composed, one item on its card in every place.
 */
import '@fontsource-variable/figtree'
import './stage.css'

// Behind the #, since what stands before it is the visitor's, as on any page.
const parameters = new URLSearchParams(location.hash.slice(1))
const search = parameters.get('search') ?? ''
const place = parameters.get('place') ?? 'results'

const element = (name: string) => {
  const made = document.createElement(name)
  made.setAttribute('search', search)
  made.setAttribute('source', 'draft')
  return made
}
const heading = document.createElement('h1')
heading.textContent = parameters.get('site') ?? 'Your site'

const main = document.createElement('main')
if (place === 'box' || place === 'home') {
  const top = document.createElement('header')
  top.className = 'page-top'
  const name = document.createElement('strong')
  name.textContent = heading.textContent
  name.setAttribute('aria-hidden', 'true')
  top.append(name)
  if (place === 'box') top.append(element('tidy-search'))
  const body = document.createElement('div')
  body.className = 'page-body'
  for (const width of ['38%', '92%', '86%', '90%', '64%']) {
    const line = document.createElement('span')
    line.style.width = width
    body.append(line)
  }
  if (place === 'home') main.append(heading, element('tidy-filters'), body)
  else main.append(heading, body)
  document.body.prepend(top, main)
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
  const script = document.createElement('script')
  script.type = 'module'
  script.src = '/elements/tidy-lantern.js'
  document.head.append(script)
}

import { fetchLook, type Source } from '../service'
import css from '../visitor.css?inline'
import { colourOf, contrast, groundBehind, isDark, type Colour } from './ground'
import { adoptStyle } from './styles'

type Shade = 'light' | 'dark'

/** What must be told from the page's ground, and how well: WCAG 2.2, 1.4.3 and 1.4.11. */
const ON_THE_PAGE: readonly (readonly [token: string, wanted: number])[] = [
  ['text', 4.5],
  ['quiet', 4.5],
  ['accent', 4.5],
  ['edge', 3],
  ['focus', 3],
]

interface Look {
  sheet: CSSStyleSheet
  revision: number
  /** Ends in any case: without a look an element is drawn as the page would draw it. */
  coming: Promise<void>
}
const looks = new Map<string, Look>()
const sheets = new WeakSet<CSSStyleSheet>()

/** The look of a search, the same for all its elements on the page; a draft's is asked for with every change. */
function lookOf(search: string, source: Source, revision: number): Look {
  const key = `${source}/${search}`
  const known = looks.get(key)
  if (known?.revision === revision) return known
  const sheet = known?.sheet ?? new CSSStyleSheet()
  sheets.add(sheet)
  const look: Look = { sheet, revision, coming: Promise.resolve() }
  looks.set(key, look)
  look.coming = fetchLook(search, source).then(
    written => {
      // A later one may have come first.
      if (looks.get(key) === look) sheet.replaceSync(written)
    },
    (error: unknown) => {
      console.error(`tidy-lantern: no look for "${search}"`, error)
    },
  )
  return look
}

/** Whether what an element writes in a shade is told from a ground. */
function isReadable(probe: HTMLElement, shade: Shade, ground: Colour): boolean {
  probe.className = `worn ${shade}`
  return ON_THE_PAGE.every(([token, wanted]) => {
    probe.style.color = `var(--${token})`
    return contrast(colourOf(getComputedStyle(probe).color), ground) >= wanted
  })
}

/** What text stands on, beside the page. */
const BEHIND_TEXT = ['ground', 'around', 'hover', 'mark']

/** The colour of the page's text, where all that text stands on lets it be read; else null. */
function textOfPage(host: Element, probe: HTMLElement, shade: Shade, ground: Colour): string | null {
  probe.className = `worn ${shade}`
  const written = getComputedStyle(host).color
  const text = colourOf(written)
  const grounds = BEHIND_TEXT.map(token => {
    probe.style.color = `var(--${token})`
    return colourOf(getComputedStyle(probe).color)
  })
  return [ground, ...grounds].every(one => contrast(text, one) >= 4.5) ? written : null
}

/**
 * What an element wears: its classes. The shade is the one that can be read on the page's ground, where the look says
 * so; where neither can, or nobody knows the ground, the element brings its own.
 */
export class Dressing {
  private classes: readonly string[] = ['worn', 'dressing']
  private ends = new AbortController()
  private readonly dark = matchMedia('(prefers-color-scheme: dark)')

  /**
   * @param dressed what wears the classes; null while it is not there
   * @param isBoxAlone whether nothing but a box stands on the page's ground, which mostly has a ground of its own
   * @param onChange told the classes
   */
  constructor(
    private readonly root: ShadowRoot,
    private readonly dressed: () => HTMLElement | null,
    private readonly isBoxAlone: () => boolean,
    private readonly onChange: (classes: readonly string[]) => void,
  ) {
    adoptStyle(root, css)
    onChange(this.classes)
    const { signal } = this.ends
    this.dark.addEventListener('change', this.dress, { signal })
    // A page that changes between light and dark says so on its root, mostly; what moves there has arrived by its end.
    const changed = new MutationObserver(this.dress)
    for (const one of [document.documentElement, document.body]) changed.observe(one, { attributes: true })
    signal.addEventListener('abort', () => changed.disconnect())
    document.addEventListener(
      'transitionend',
      event => {
        if (event.target === document.documentElement || event.target === document.body) this.dress()
      },
      { signal },
    )
  }

  /** Puts on the look of a search, as it is at a revision. */
  async wear(search: string, source: Source, revision: number): Promise<void> {
    const look = lookOf(search, source, revision)
    // An element that became another search's wears the look of that one alone.
    const others = this.root.adoptedStyleSheets.filter(sheet => !sheets.has(sheet))
    this.root.adoptedStyleSheets = [...others, look.sheet]
    await look.coming
    this.dress()
  }

  end(): void {
    this.ends.abort()
  }

  /** Looks again what can be read on the page. */
  readonly dress = (): void => {
    const element = this.dressed()
    if (!element || !this.root.host.isConnected) return
    const probe = document.createElement('i')
    probe.hidden = true
    probe.className = 'worn'
    this.root.append(probe)
    const said = (name: string) => getComputedStyle(probe).getPropertyValue(name).trim()
    const scheme = said('--scheme')
    const ground = groundBehind(this.root.host)
    const wanted: Shade =
      scheme === 'dark' || (scheme === 'visitor' ? this.dark.matches : scheme === 'page' && ground && isDark(ground))
        ? 'dark'
        : 'light'
    const other: Shade = wanted === 'dark' ? 'light' : 'dark'
    const choices = scheme === 'page' ? [wanted, other] : [wanted]
    const readable = ground ? choices.find(one => isReadable(probe, one, ground)) : undefined
    const text =
      said('--text-of-page') === '1' && readable && ground ? textOfPage(this.root.host, probe, readable, ground) : null
    if (text) element.style.setProperty('--text', text)
    else element.style.removeProperty('--text')
    const hasGround = this.isBoxAlone() && said('--box-ground') !== 'transparent'
    probe.remove()
    this.classes = ['worn', readable ?? wanted, ...(readable || hasGround ? [] : ['own-ground'])]
    this.onChange(this.classes)
  }
}

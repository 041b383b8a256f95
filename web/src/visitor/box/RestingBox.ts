import type { ArrangementFace, SearchFace, SpokenTexts } from '../../shared/contract'
import { showingNow } from '../address'
import { UNTIL_DRAWN } from '../element/untilDrawn'
import { Dressing } from '../look/dressing'
import { adoptStyle } from '../look/styles'
import { ledTo } from '../ledTo'
import { learnLanguage } from '../pageLanguage'
import { fetchFace, fetchTexts } from '../service'
import { textsOf, type Texts } from '../speech'
import css from './box.css?inline'
import { Field, signOf } from './Field'

/** What somebody wants of a box that is at rest, and what it does once it is awake. */
export type Wanted = 'open' | 'submit' | 'enter' | 'typed'

/** What a box goes by while it is at rest. */
interface RestingWays {
  search: string
  label: string
  placeholder: string
  /** Where it leads; empty for the search's results page. */
  resultsPage: string
  /** Called once somebody turns to the box, or where it cannot rest. */
  wake: () => void
}

/**
 * A search box that nobody has turned to yet: it is there as it will be, in the look of its search, and what makes it
 * search has not come. Most boxes of most pages stay so.
 */
export class RestingBox {
  readonly field = new Field()
  wanted: Wanted | null = null
  /** Whether somebody is in the page's own form, and goes on in what is drawn in its place. */
  isFocusWanted = false
  private isDrawn = false
  private readonly ends = new AbortController()
  private readonly form = document.createElement('form')
  private readonly dressing: Dressing
  private arrangement: ArrangementFace | null = null
  private opening = 'always'
  private worn = ''
  private isPressed = false
  private isComposing = false
  private ready: (() => void)[] = []

  constructor(
    private readonly host: HTMLElement,
    private readonly root: ShadowRoot,
    private readonly ways: RestingWays,
  ) {
    adoptStyle(root, css)
    this.dressing = new Dressing(
      root,
      () => this.form,
      () => this.isAlone(),
      classes => {
        this.worn = classes.join(' ')
        this.wear()
      },
    )
    this.form.setAttribute('role', 'search')
    this.field.text = showingNow(ways.search).query
    this.listen()
    void this.rest()
  }

  private isAlone(): boolean {
    return (
      this.arrangement !== null && !this.arrangement.heading && !this.arrangement.label && this.opening === 'always'
    )
  }

  private wear(): void {
    this.form.className = `${UNTIL_DRAWN} ${this.worn} opens-${this.opening}`
  }

  private async rest(): Promise<void> {
    const { search, wake } = this.ways
    const language = learnLanguage(search, this.host)
    try {
      const [face, texts] = await Promise.all([
        fetchFace(search, 'live', 0),
        fetchTexts(search, 'live', 0),
        this.dressing.wear(search, 'live', 0),
      ])
      if (this.ends.signal.aborted) return
      // What stands beside the words, or can be chosen with them, needs all of the script.
      if (face.filtersInBox || face.box.chooses) wake()
      else this.draw(face, texts, language)
    } catch (error) {
      console.error(`tidy-lantern: no box of "${search}"`, error)
      wake()
    }
  }

  private draw(face: SearchFace, spoken: SpokenTexts, language: string): void {
    const texts = textsOf(
      () => spoken,
      () => language,
    )
    const narrow = matchMedia(`(max-width: ${face.box.narrowUpTo}px)`)
    const arrange = () => this.arrange(narrow.matches ? face.box.narrow : face.box.wide, texts)
    narrow.addEventListener('change', arrange, { signal: this.ends.signal })
    this.form.action = ledTo(this.ways.resultsPage, face).resultsPage
    arrange()
    this.takeOver()
    this.root.querySelector(`.${UNTIL_DRAWN}`)?.remove()
    this.root.prepend(this.form)
    this.isDrawn = true
    this.dressing.dress()
    if (this.isFocusWanted) this.field.input.focus()
    this.isFocusWanted = false
  }

  /** Whoever began to type in the page's own form goes on here. */
  private takeOver(): void {
    const before = this.host.querySelector('input')
    if (!before) return
    if (before.value !== '' && before.value !== before.defaultValue) this.field.text = before.value
    this.isFocusWanted = document.activeElement === before
  }

  private arrange(arrangement: ArrangementFace, { say }: Texts): void {
    this.arrangement = arrangement
    this.opening = arrangement.opening
    this.wear()
    const named = this.ways.label || say('search')
    this.field.show({
      arrangement,
      named,
      placeholder: this.ways.placeholder || (arrangement.placeholder ? say('boxPlaceholder') : ''),
      says: { search: say('search'), clear: say('clear'), all: say('all'), searchIn: say('searchIn') },
      chooser: null,
      list: null,
    })
    if (arrangement.opening !== 'always') {
      this.form.replaceChildren(this.opener(arrangement, say('openSearch')))
      return
    }
    const asked = document.createElement('div')
    asked.className = 'asked'
    asked.setAttribute('part', 'asked')
    if (arrangement.heading) asked.append(line('h2', 'box-heading', say('boxHeading')))
    if (arrangement.label) {
      const label = line('p', 'box-label', named)
      label.ariaHidden = 'true'
      asked.append(label)
    }
    this.form.replaceChildren(asked)
    this.field.moveTo(asked)
  }

  private opener({ opening, sign, signSize }: ArrangementFace, label: string): HTMLElement {
    const opener = document.createElement('button')
    opener.type = 'button'
    opener.className = 'opener'
    opener.setAttribute('part', 'opener')
    opener.ariaLabel = label
    if (opening === 'over') opener.ariaHasPopup = 'dialog'
    else opener.ariaExpanded = 'false'
    opener.append(signOf(sign, signSize))
    opener.addEventListener('click', () => this.want('open'))
    return opener
  }

  private listen(): void {
    const { signal } = this.ends
    const { wake } = this.ways
    this.field.answerTo({
      typed: () => this.want('typed'),
      entered: wake,
      key: event => {
        if (event.key !== 'Enter' || event.isComposing) return
        event.preventDefault()
        this.want('enter')
      },
      clear: () => {
        this.field.text = ''
        this.field.input.focus()
      },
    })
    this.form.addEventListener('submit', event => {
      event.preventDefault()
      this.want('submit')
    })
    this.form.addEventListener('pointerenter', wake, { signal })
    this.form.addEventListener('pointerdown', () => (this.isPressed = true), { signal })
    addEventListener('pointerup', () => setTimeout(() => this.lift()), { signal })
    addEventListener('pointercancel', () => this.lift(), { signal })
    this.form.addEventListener('compositionstart', () => (this.isComposing = true), { signal })
    this.form.addEventListener(
      'compositionend',
      () => {
        this.isComposing = false
        this.tellReady()
      },
      { signal },
    )
    // What is asked elsewhere on the page stands here as well.
    const follow = () => {
      if (this.root.activeElement !== this.field.input) this.field.text = showingNow(this.ways.search).query
    }
    addEventListener('popstate', follow, { signal })
    document.addEventListener('tidy-query', () => queueMicrotask(follow), { signal })
    // Another language of the page is another box.
    const changed = new MutationObserver(wake)
    changed.observe(document.documentElement, { attributes: true, attributeFilter: ['lang'] })
    signal.addEventListener('abort', () => changed.disconnect())
  }

  private want(wanted: Wanted): void {
    // Who asked goes on from there, whatever they do meanwhile.
    if (this.wanted !== 'submit' && this.wanted !== 'enter') this.wanted = wanted
    this.ways.wake()
  }

  private lift(): void {
    this.isPressed = false
    this.tellReady()
  }

  private tellReady(): void {
    if (this.isPressed || this.isComposing) return
    this.ready.forEach(tell => tell())
    this.ready = []
  }

  /** Ends once nothing is pressed or composed in it, which would be lost if it moved. */
  whenLetGo(): Promise<void> {
    if (!this.isPressed && !this.isComposing) return Promise.resolve()
    return new Promise(resolve => this.ready.push(resolve))
  }

  /** It listens and follows no more; what it drew stays until something else is drawn. */
  end(): void {
    if (!this.isDrawn) this.takeOver()
    this.ends.abort()
    this.dressing.end()
  }
}

function line(tag: string, name: string, text: string): HTMLElement {
  const element = document.createElement(tag)
  element.className = name
  element.setAttribute('part', name)
  element.textContent = text
  return element
}

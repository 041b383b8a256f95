import type { ArrangementFace } from '../../shared/contract'

/** What can be chosen in a box beside the words. */
export interface BoxChoice {
  values: readonly { value: string; label: string }[]
  /** Empty for everything. */
  chosen: string
  choose: (value: string) => void
}

/** How a field stands there. */
export interface FieldShown {
  arrangement: ArrangementFace
  /** What the words are called. */
  named: string
  /** What stands there while nothing is typed. */
  placeholder: string
  /** What its controls are called. */
  says: { search: string; clear: string; all: string; searchIn: string }
  chooser: BoxChoice | null
  /**
   * The list that belongs to it: its id while it shows, and that of its row which Enter would choose; null where no list
   * can come, and the words are a plain field.
   */
  list: { id: string | undefined; active: string | undefined } | null
}

/** What somebody does in a field. */
export interface FieldActs {
  typed: () => void
  entered: () => void
  key: (event: KeyboardEvent) => void
  clear: () => void
}

const CROSS = 'm4.5 4.5 9 9m0-9-9 9'

/**
 * The field of a search box: what can be chosen in it, the words, the cross that takes them away, the button that asks.
 * Plain elements, so that a box stands on a page before anything else of the script has come, and whoever types in it
 * then goes on in the very same field.
 */
export class Field {
  readonly element = made('div', 'boxed')
  readonly input = document.createElement('input')
  private readonly box = made('div', 'box', 'box')
  private readonly beside = made('span', 'beside')
  private acts: FieldActs | null = null
  private shown = ''
  private active: HTMLElement | null = null
  private selection: readonly [number | null, number | null] = [null, null]

  constructor() {
    Object.assign(this.input, {
      type: 'search',
      name: 'q',
      autocomplete: 'off',
      autocapitalize: 'off',
      spellcheck: false,
      enterKeyHint: 'search',
    })
    this.input.setAttribute('part', 'input')
    this.box.append(this.input)
    this.element.append(this.box, this.beside)
    this.input.addEventListener('input', () => {
      this.turnCrosses()
      this.acts?.typed()
    })
    this.input.addEventListener('focus', () => this.acts?.entered())
    this.input.addEventListener('keydown', event => this.acts?.key(event))
  }

  get text(): string {
    return this.input.value
  }
  set text(text: string) {
    if (this.input.value !== text) this.input.value = text
    this.turnCrosses()
  }

  /** Who answers from now on. */
  answerTo(acts: FieldActs): void {
    this.acts = acts
  }

  show(shown: FieldShown): void {
    this.showList(shown)
    const { arrangement, says, chooser } = shown
    const now = JSON.stringify([arrangement, says, chooser?.values])
    // What is chosen changes in the very control that somebody is in.
    const choice = this.box.querySelector('select')
    if (choice && chooser) choice.value = chooser.chosen
    if (now === this.shown) return
    this.shown = now
    this.element.className = `boxed button-${arrangement.side} shows-${arrangement.shows}`
    const hasButton = arrangement.shows !== 'no-button'
    const sign = () => signOf(arrangement.sign, arrangement.signSize)
    // The words stay where they are, since somebody may be typing them.
    for (const one of [...this.box.children]) if (one !== this.input) one.remove()
    if (chooser) this.input.before(choiceOf(chooser, says))
    if (!hasButton) this.input.before(within(made('span', 'mark-sign'), sign()))
    if (arrangement.clear === 'inside') this.box.append(this.cross(says.clear))
    if (hasButton) {
      const button = within(
        made('button', 'submit', 'submit'),
        ...(arrangement.shows === 'word' ? [] : [sign()]),
        ...(arrangement.shows === 'sign' ? [] : [within(document.createElement('span'), says.search)]),
      )
      if (arrangement.shows === 'sign') button.ariaLabel = says.search
      this.box.append(button)
    }
    this.beside.replaceChildren(...(arrangement.clear === 'beside' ? [this.cross(says.clear)] : []))
    this.turnCrosses()
  }

  private showList({ named, placeholder, list }: FieldShown): void {
    const attributes = {
      'aria-label': named,
      placeholder,
      role: list && 'combobox',
      'aria-autocomplete': list && 'list',
      'aria-haspopup': list && 'listbox',
      'aria-expanded': list && String(list.id !== undefined),
      'aria-controls': list?.id,
      'aria-activedescendant': list?.active,
    }
    for (const [name, value] of Object.entries(attributes)) {
      if (value === null || value === undefined) this.input.removeAttribute(name)
      else if (this.input.getAttribute(name) !== value) this.input.setAttribute(name, value)
    }
  }

  private cross(label: string): HTMLElement {
    const cross = within(made('button', 'clear', 'clear'), drawn(CROSS, 18))
    cross.setAttribute('type', 'button')
    cross.ariaLabel = label
    cross.addEventListener('click', () => this.acts?.clear())
    return cross
  }

  /** One within the box is there while there is something to take away; room beside it is never given up. */
  private turnCrosses(): void {
    const inside = this.box.querySelector<HTMLElement>('.clear')
    if (inside) inside.hidden = this.text === ''
    const beside = this.beside.querySelector<HTMLButtonElement>('.clear')
    if (beside) beside.disabled = this.text === ''
  }

  /** Has it stand elsewhere; {@link goOn} puts whoever was in it there again. */
  moveTo(place: Element): void {
    const root = this.input.getRootNode() as ShadowRoot | Document
    this.active = this.element.contains(root.activeElement) ? (root.activeElement as HTMLElement) : null
    this.selection = [this.input.selectionStart, this.input.selectionEnd]
    place.append(this.element)
  }

  /** @returns whether somebody was in its words before it was moved */
  goOn(): boolean {
    const { active } = this
    this.active = null
    active?.focus({ preventScroll: true })
    if (active === this.input) this.input.setSelectionRange(...this.selection)
    return active === this.input
  }
}

function made(tag: string, name: string, part = ''): HTMLElement {
  const element = document.createElement(tag)
  element.className = name
  if (part) element.setAttribute('part', part)
  return element
}

function within(element: HTMLElement, ...inside: (Node | string)[]): HTMLElement {
  element.append(...inside)
  return element
}

const SVG = 'http://www.w3.org/2000/svg'
/** @param size of the square that the path is drawn in */
function drawn(outline: string, size: number): SVGElement {
  const svg = document.createElementNS(SVG, 'svg')
  svg.setAttribute('viewBox', `0 0 ${size} ${size}`)
  svg.setAttribute('aria-hidden', 'true')
  const path = document.createElementNS(SVG, 'path')
  path.setAttribute('d', outline)
  svg.append(path)
  return svg
}

/**
 * A sign on a button, or beside the words.
 *
 * @param size in px
 */
export function signOf(outline: string, size: number): SVGElement {
  const sign = drawn(outline, 24)
  sign.setAttribute('class', 'sign')
  sign.setAttribute('width', String(size))
  sign.setAttribute('height', String(size))
  return sign
}

function choiceOf(choice: BoxChoice, says: FieldShown['says']): HTMLElement {
  const select = document.createElement('select')
  select.setAttribute('part', 'chooser')
  select.append(new Option(says.all, ''))
  for (const { value, label } of choice.values) select.append(new Option(label, value, false, value === choice.chosen))
  select.addEventListener('change', () => choice.choose(select.value))
  return within(made('label', 'chooser'), within(made('span', 'unseen'), says.searchIn), select)
}

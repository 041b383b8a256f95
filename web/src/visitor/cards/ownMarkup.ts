import type { CardFace, CardPart, CardValue, Hit, PartGroup } from '../../shared/contract'
import { safeAddress } from '../../shared/http'

/**
 * A card in a page's own markup. A `<template>` in an element names with `data-tidy` what stands where: a part of the
 * card by its key, or a field that it shows. It is filled with text and addresses, never with markup.
 */

/** Elements that say nothing but what they hold, and shapes; all others could do something. */
const KNOWN = new Set(
  (
    'a abbr address article aside b bdi bdo blockquote br cite code data dd del dfn div dl dt em figcaption figure ' +
    'footer h1 h2 h3 h4 h5 h6 header hr i img ins kbd li main mark ol p picture q s samp section small span strong ' +
    'sub sup table tbody td tfoot th thead time tr u ul var wbr ' +
    'svg path circle ellipse rect line polyline polygon g title desc'
  ).split(' '),
)
const ADDRESSES = ['href', 'src', 'xlink:href']

/** What was written into a template and is left out of every card. */
function cleaned(markup: DocumentFragment): string[] {
  const left: string[] = []
  for (const element of markup.querySelectorAll('*')) {
    if (!markup.contains(element)) continue
    if (!KNOWN.has(element.localName)) {
      left.push(`<${element.localName}>`)
      element.remove()
      continue
    }
    for (const { name, value } of [...element.attributes]) {
      const isAddress = ADDRESSES.includes(name.toLowerCase())
      if (!/^on|^srcdoc$|^srcset$|^id$/i.test(name) && !(isAddress && safeAddress(value) === null)) continue
      if (name !== 'id') left.push(name)
      element.removeAttribute(name)
    }
  }
  return left
}

/** A page's template as cards are made from it. */
export interface OwnMarkup {
  /** Whose results it is for; null for all that have none of their own. */
  collection: string | null
  markup: DocumentFragment
}

/** The templates that stand right in an element; what is left out of them is told on the console, once. */
export function ownMarkupIn(host: Element): OwnMarkup[] {
  return [...host.querySelectorAll<HTMLTemplateElement>(':scope > template')].map(template => {
    const markup = template.content.cloneNode(true) as DocumentFragment
    const left = cleaned(markup)
    if (left.length > 0)
      console.warn(
        `<${host.localName}>: left out of the template, since cards only show: ${[...new Set(left)].join(', ')}`,
      )
    return { collection: template.dataset.tidyCollection ?? null, markup }
  })
}

export const markupFor = (hit: Hit, own: readonly OwnMarkup[]) =>
  own.find(one => one.collection === hit.collection) ?? own.find(one => one.collection === null)

const leaves = (group: PartGroup): CardPart[] =>
  group.parts.flatMap(part => (part.part === 'group' ? leaves(part) : [part]))

/** The values of a card by what a template may call them: the part's key, what it mentions, the field it shows. */
function valuesOf(hit: Hit, card: CardFace): ReadonlyMap<string, CardValue> {
  const byKey = new Map(hit.card.map(value => [value.key, value]))
  const values = new Map<string, CardValue>()
  for (const part of leaves(card.body)) {
    const value = byKey.get(part.key)
    if (!value) continue
    const names = [part.key, part.part, 'what' in part ? part.what : '', 'field' in part ? part.field : '']
    for (const name of names) if (name && !values.has(name)) values.set(name, value)
  }
  return values
}

const read = (value: CardValue) => value.text.map(run => run.text).join('')

function write(element: Element, value: CardValue) {
  element.replaceChildren(
    ...value.text.map(run => {
      if (!run.marked) return document.createTextNode(run.text)
      const mark = document.createElement('mark')
      mark.textContent = run.text
      return mark
    }),
  )
}

/** @param address of the item's page, where a title leads; null for none */
function fill(element: Element, value: CardValue, address: string | null) {
  if (element instanceof HTMLImageElement) {
    element.src = safeAddress(value.value) ?? ''
    element.alt = read(value)
    return
  }
  if (element instanceof HTMLAnchorElement) {
    const href = value.as === 'link' ? safeAddress(value.value) : address
    if (href) element.href = href
  }
  if (element instanceof HTMLTimeElement && value.value) element.dateTime = value.value
  write(element, value)
}

/**
 * The markup with what a result shows; what has no value is not there.
 *
 * @param isOption whether the whole is one option of a list, in which nothing leads anywhere by itself
 */
export function filled(own: OwnMarkup, hit: Hit, card: CardFace, isOption: boolean): DocumentFragment {
  const markup = own.markup.cloneNode(true) as DocumentFragment
  const values = valuesOf(hit, card)
  const address = safeAddress(hit.url)
  for (const element of markup.querySelectorAll<HTMLElement>('[data-tidy-if]'))
    if (!values.has(element.dataset.tidyIf!)) element.remove()
  for (const element of markup.querySelectorAll<HTMLElement>('[data-tidy]')) {
    const value = values.get(element.dataset.tidy!)
    if (value) fill(element, value, address)
    else element.remove()
  }
  for (const link of markup.querySelectorAll('a')) {
    if (!link.dataset.tidy && link.hasAttribute('data-tidy-link') && address) link.href = address
    if (isOption) link.replaceWith(spanOf(link))
  }
  return markup
}

function spanOf(link: Element): Element {
  const span = document.createElement('span')
  for (const { name, value } of link.attributes) if (!ADDRESSES.includes(name)) span.setAttribute(name, value)
  span.append(...link.childNodes)
  return span
}

import { h, type FunctionalComponent, type VNode } from 'vue'
import type { CardPart, CardValue, Hit, PartGroup } from '../../shared/contract'
import { safeAddress } from '../../shared/http'
import { MarkedRuns } from './MarkedRuns'
import type { TierLook } from '../look/tierLook'
import TierRibbon from './TierRibbon.vue'

/** What a card is drawn with. */
interface Drawn {
  values: ReadonlyMap<string, CardValue>
  hit: Hit
  /** How it looks where the item holds a featured tier. */
  look: TierLook | undefined
  /** Where its link opens. */
  target: string | undefined
  /** Whether it is one option of a list: then it is a link as a whole, and holds neither headings nor links. */
  row: boolean
}

const read = (value: CardValue) => value.text.map(run => run.text).join('')
const runs = (value: CardValue) => h(MarkedRuns, { runs: value.text })
const set = ({ lettering: { size, bold, tone } }: { lettering: { size: string; bold: boolean; tone: string } }) => [
  `text-${size}`,
  `tone-${tone}`,
  { bold },
]

/** The classes by which `cards.css` draws a part; the page without script gives the same. */
function classesOf(part: CardPart): unknown[] {
  switch (part.part) {
    case 'group':
      return [
        part.direction === 'flow' ? 'in-row wraps' : `in-${part.direction}`,
        `gap-${part.gap}`,
        `at-${part.align}`,
        part.width !== 'fitting' && `takes-${part.width}`,
        { grows: part.grows, dots: part.dots, keeps: !part.shrinks },
      ]
    case 'picture':
      return [
        'picture',
        `shape-${part.shape}`,
        `width-${part.size}`,
        part.corners && `corners-${part.corners}`,
        { whole: part.whole },
      ]
    case 'title':
    case 'excerpt':
      return [part.part, `lines-${part.lines}`, ...set(part)]
    case 'mention':
      return [part.what, ...set(part)]
    case 'value':
      return [part.part, ...set(part)]
    case 'button':
      return ['button']
  }
}

/** The names by which a site's own CSS reaches a part. */
const nameOf = (part: CardPart) =>
  part.part === 'mention' ? part.what : part.part === 'value' ? `value value-${part.key}` : part.part

function draw(part: CardPart, drawn: Drawn): VNode | null {
  if (part.part === 'group') return group(part, drawn)
  const value = drawn.values.get(part.key)
  if (!value) return null
  const given = { class: classesOf(part), part: nameOf(part), 'data-part': part.key }
  if (part.part === 'title') return title(part.level, value, given, drawn)
  if (part.part === 'mention' && part.what === 'ribbon')
    return drawn.look?.tier.looks.ribbon
      ? h(TierRibbon, { looks: drawn.look.tier.looks.ribbon, text: read(value), 'data-part': part.key })
      : null
  const text = drawn.row ? 'span' : 'p'
  switch (value.as) {
    case 'picture':
      return h('span', given, h('img', { src: safeAddress(value.value) ?? undefined, alt: '', loading: 'lazy' }))
    case 'letter':
      return h('span', { ...given, class: [given.class, 'letter'], 'aria-hidden': 'true' }, read(value))
    case 'sign':
      return h(
        'span',
        { ...given, class: [given.class, 'sign'], 'aria-hidden': 'true' },
        h('svg', { viewBox: '0 0 24 24' }, h('path', { d: value.value ?? '' })),
      )
    case 'chips':
      return h(
        text,
        { ...given, class: [given.class, 'chips'] },
        value.text.map(run => h('span', run.text)),
      )
    case 'signs':
      return h(text, { ...given, class: [given.class, 'signs'] }, [
        h('span', { 'aria-hidden': 'true' }, value.value ?? ''),
        h('span', { class: 'unseen' }, read(value)),
      ])
    case 'link': {
      const address = safeAddress(value.value)
      return address && !drawn.row
        ? h('a', { ...given, href: address, target: drawn.target }, read(value))
        : part.part === 'button'
          ? null
          : h(text, given, read(value))
    }
    default:
      return h(text, given, runs(value))
  }
}

function title(level: number, value: CardValue, given: object, { hit, target, row }: Drawn) {
  if (row) return h('span', given, runs(value))
  const href = safeAddress(hit.url)
  return h(`h${level}`, given, href ? h('a', { href, target }, runs(value)) : runs(value))
}

/** Without those of its parts that have nothing to show; null where none has. */
function group(part: PartGroup, drawn: Drawn) {
  const parts = part.parts.map(one => draw(one, drawn)).filter(node => node !== null)
  // What stands in one line is parted for those who copy or hear it, too.
  const spaced = part.dots ? parts.flatMap((node, n) => (n > 0 ? [' ', node] : [node])) : parts
  return parts.length > 0
    ? h(drawn.row ? 'span' : 'div', { class: classesOf(part), 'data-part': part.key }, spaced)
    : null
}

/** What stands on a card, as its design says and the service has written it. Text only, never markup. */
export const CardBody: FunctionalComponent<{
  body: PartGroup
  hit: Hit
  look: TierLook | undefined
  target?: string
  row?: boolean
}> = ({ body, hit, look, target, row = false }) => {
  const values = new Map(hit.card.map(value => [value.key, value]))
  const drawn = group(body, { values, hit, look, target, row })
  return drawn && h(drawn, { class: 'card-body' })
}
CardBody.props = { body: Object, hit: Object, look: Object, target: String, row: Boolean }

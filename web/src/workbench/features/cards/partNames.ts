import type { CardMaterial, CardPart } from '../../../shared/contract'

const GROUPS = { row: 'Beside one another', flow: 'Beside one another', column: 'Below one another' } as const
const MENTIONS = {
  collection: 'Collection',
  ribbon: 'Ribbon of a tier',
  disclosure: 'Paid placement',
  distance: 'How far away',
} as const

/** What owners call a part; a field by its label. */
export function nameOf(part: CardPart, materials: readonly CardMaterial[]): string {
  switch (part.part) {
    case 'group':
      return part.dots ? 'In one line' : GROUPS[part.direction]
    case 'picture':
      return 'Picture'
    case 'title':
      return 'Title'
    case 'excerpt':
      return 'Text under the title'
    case 'mention':
      return MENTIONS[part.what]
    case 'button':
      return `Button “${part.text}”`
    case 'value':
      return fieldOf(part.field, materials)?.label ?? part.field
  }
}

/** A field that cards can show, of the first collection that has it. */
export const fieldOf = (field: string, materials: readonly CardMaterial[]) =>
  materials.flatMap(one => one.fields).find(one => one.part.field === field)

/** What is worth knowing of a part where only its name stands. */
export function hintOf(part: CardPart, materials: readonly CardMaterial[]): string {
  switch (part.part) {
    case 'group':
      return part.parts.length === 0 ? 'empty' : ''
    case 'picture':
      return `${SHAPES[part.shape]}, ${SIZES[part.size].toLowerCase()}`
    case 'title':
      return `heading ${part.level}`
    case 'excerpt':
      return part.lines === 1 ? '1 line' : `${part.lines} lines`
    case 'value': {
      const example = exampleOf(part, materials)
      return example === null ? 'no item has it' : [part.before, example, part.after].filter(Boolean).join(' ')
    }
    default:
      return ''
  }
}

/** How the value of some item is written in a part's format; null where nothing is known of the field. */
function exampleOf(part: Extract<CardPart, { part: 'value' }>, materials: readonly CardMaterial[]): string | null {
  const field = fieldOf(part.field, materials)
  const written = field?.formats.find(one => isSameFormat(one.format, part.format))
  return written?.example ?? field?.example ?? null
}

export const isSameFormat = (one: object, other: object) => formatKey(one) === formatKey(other)

/** A format as one text, whatever order its settings come in. */
export const formatKey = (format: object) => JSON.stringify(Object.entries(format).sort())

export const SHAPES = {
  square: 'Square',
  '4-3': '4 to 3',
  '3-2': '3 to 2',
  '16-9': '16 to 9',
  round: 'Round',
  natural: 'As it came',
} as const
export const SIZES = {
  icon: 'Tiny',
  small: 'Small',
  usual: 'Medium',
  large: 'Large',
  third: 'A third',
  full: 'Full width',
} as const

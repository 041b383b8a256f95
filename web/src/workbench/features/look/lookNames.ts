import type { Look, LookChoices, LookTokens } from '../../../shared/contract'

export type Shade = 'light' | 'dark'
export type ColourToken = LookChoices['tokens'][number]['token']

type Choices<Value> = readonly { value: Value; label: string }[]
export const SHADES: Choices<Shade> = [
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
]
export const SCHEMES: Choices<LookTokens['scheme']> = [
  { value: 'page', label: 'By the page’s ground' },
  { value: 'visitor', label: 'By the visitor’s device' },
  { value: 'light', label: 'Always light' },
  { value: 'dark', label: 'Always dark' },
]
export const CARD_FORMS: Choices<LookTokens['form']['cards']> = [
  { value: 'framed', label: 'Framed' },
  { value: 'ruled', label: 'Ruled' },
  { value: 'filled', label: 'Filled' },
  { value: 'bare', label: 'Bare' },
]
export const BOX_FORMS: Choices<LookTokens['form']['box']> = [
  { value: 'framed', label: 'Framed' },
  { value: 'lined', label: 'A line below' },
]
export const DENSITIES: Choices<LookTokens['form']['density']> = [
  { value: 'airy', label: 'Airy' },
  { value: 'usual', label: 'Usual' },
  { value: 'dense', label: 'Dense' },
]
export const SHADOWS: Choices<LookTokens['form']['shadow']> = [
  { value: 'none', label: 'None' },
  { value: 'soft', label: 'Soft' },
  { value: 'deep', label: 'Deep' },
]
export const WEIGHTS: Choices<number> = [300, 400, 500, 600, 700, 800].map(value => ({ value, label: String(value) }))

const chosen = <Value>(options: Choices<Value>, value: Value) =>
  (options.find(one => one.value === value)?.label ?? String(value)).toLowerCase()

/** What is set in a part, for the line that stands there while it is folded. */
export const typeLine = (tokens: LookTokens, fonts: readonly { name: string; families: string }[]) =>
  `${fonts.find(font => font.families === tokens.type.font)?.name ?? tokens.type.font}, ${tokens.type.size} px`
export const formLine = ({ form }: LookTokens) =>
  `${chosen(CARD_FORMS, form.cards)} cards, ${form.corners} px corners, ${chosen(DENSITIES, form.density)}`

/** Nothing of its own, as a ready look has it; or, without one, as the site's has it. */
export const lookFrom = (from: Look['from']): Look => ({
  from,
  scheme: null,
  light: {},
  dark: {},
  type: { font: null, titleFont: null, size: null, titleWeight: null, textOfPage: null },
  form: { cards: null, box: null, corners: null, density: null, shadow: null, motion: null },
})

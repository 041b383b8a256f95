import { usualTexts as english } from '../shared/usualTexts'

/** A text, or one for each of the plural categories of its language (CLDR's), of which `count` takes one. */
type Text = string | Partial<Record<Intl.LDMLPluralRule, string>>

/** The language of the page: numbers and days are written as it writes them. */
export const language = () => document.documentElement.lang || undefined

/** A number as the page's language writes it. */
export const written = (number: number) => new Intl.NumberFormat(language()).format(number)

/**
 * What visitors read, from the one home of its wording that the hosted page has, too.
 *
 * @param values of its placeholders; numbers are written as the page's language does, and `count` decides the plural
 */
export function say(key: keyof typeof english, values: Record<string, string | number> = {}): string {
  const text: Text = english[key]
  const said = typeof text === 'string' ? text : (text[category(values.count)] ?? text.other ?? '')
  return said.replace(/\{(\w+)\}/g, (placeholder, name: string) => {
    const value = values[name]
    return typeof value === 'number' ? written(value) : (value ?? placeholder)
  })
}

/** That nothing was found, for these words or without any. */
export const nothingFor = (query: string) => (query === '' ? say('nothingAtAll') : say('nothing', { query }))

const category = (count: string | number | undefined) => new Intl.PluralRules('en').select(Number(count))

/** What visitors read around the content, said in the language of a search. */
import {
  again as deAgain,
  failed as deFailed,
  needsKey as deNeedsKey,
  search as deSearch,
} from '../../../texts/de.json'
import { again, failed, needsKey, search } from '../../../texts/en.json'
import {
  again as esAgain,
  failed as esFailed,
  needsKey as esNeedsKey,
  search as esSearch,
} from '../../../texts/es.json'
import {
  again as frAgain,
  failed as frFailed,
  needsKey as frNeedsKey,
  search as frSearch,
} from '../../../texts/fr.json'
import {
  again as nlAgain,
  failed as nlFailed,
  needsKey as nlNeedsKey,
  search as nlSearch,
} from '../../../texts/nl.json'
import type { SpokenTexts } from '../shared/contract'

export type TextKey = keyof typeof import('../../../texts/en.json')

/** What has to be read where the service cannot be reached; all else comes from there, as the owner words it. */
const WITHOUT_SERVICE: Readonly<Record<string, Partial<Record<TextKey, string>>>> = {
  en: { again, failed, needsKey, search },
  de: { again: deAgain, failed: deFailed, needsKey: deNeedsKey, search: deSearch },
  es: { again: esAgain, failed: esFailed, needsKey: esNeedsKey, search: esSearch },
  fr: { again: frAgain, failed: frFailed, needsKey: frNeedsKey, search: frSearch },
  nl: { again: nlAgain, failed: nlFailed, needsKey: nlNeedsKey, search: nlSearch },
}

/** What visitors read around the content. */
export interface Texts {
  /**
   * @param values of its placeholders; numbers are written as the language does, and `count` decides the plural
   */
  say: (key: TextKey, values?: Record<string, string | number>) => string
  /** That nothing was found, for these words or without any. */
  nothingFor: (query: string) => string
  written: (number: number) => string
  /** @param day as `2026-05-14` */
  writtenDay: (day: string) => string
}
/**
 * What is said by texts that came from the service, or have to stand in for them.
 *
 * @param pageLanguage empty where the page names none
 */
export function textsOf(came: () => SpokenTexts | null, pageLanguage: () => string): Texts {
  const language = () => came()?.language ?? (pageLanguage() || undefined)
  const written = (number: number) => new Intl.NumberFormat(language()).format(number)
  const say: Texts['say'] = (key, values = {}) => {
    const forms = came()?.texts[key]
    const text = forms
      ? (forms[typeof values.count === 'number' ? new Intl.PluralRules(language()).select(values.count) : 'other'] ??
        forms.other ??
        '')
      : ((WITHOUT_SERVICE[(language() ?? '').split('-')[0]!] ?? WITHOUT_SERVICE.en!)[key] ?? '')
    return text.replace(/\{(\w+)\}/g, (placeholder, name: string) => {
      const value = values[name]
      return typeof value === 'number' ? written(value) : (value ?? placeholder)
    })
  }
  return {
    say,
    written,
    nothingFor: query => (query === '' ? say('nothingAtAll') : say('nothing', { query })),
    writtenDay: day =>
      new Intl.DateTimeFormat(language(), { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(day)),
  }
}

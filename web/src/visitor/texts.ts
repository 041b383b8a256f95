import { useMutationObserver } from '@vueuse/core'
import { computed, inject, provide, shallowReactive, useShadowRoot, watch, type InjectionKey } from 'vue'
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
import type { SearchState } from './searchState'
import { fetchTexts, type Source } from './service'

type TextKey = keyof typeof import('../../../texts/en.json')

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
const TEXTS: InjectionKey<Texts> = Symbol('texts')
export function useTexts(): Texts {
  const texts = inject(TEXTS)
  if (!texts) throw new Error('the element around provides the texts')
  return texts
}

/** By search and source: what came last, the same for all elements of the search on the page. */
const spoken = shallowReactive(new Map<string, SpokenTexts>())
const asked = new Map<string, string>()

/** The language that the page names for what stands in an element; empty for none. */
function languageAt(element: Element): string {
  for (let at: Element | null = element; at;) {
    const named = at.closest<HTMLElement>('[lang]')
    if (named) return named.lang
    const root: Node = at.getRootNode()
    at = root instanceof ShadowRoot ? root.host : null
  }
  return ''
}

/** Tells all that stands in an element in the language that the search speaks on this page. */
export function provideTexts(key: string, source: Source, state: SearchState): Texts {
  const host = useShadowRoot()?.host
  const learn = () => {
    const language = host ? languageAt(host) : ''
    if (language === state.language) return
    state.language = language
    state.revision++
  }
  learn()
  useMutationObserver(() => document.documentElement, learn, { attributes: true, attributeFilter: ['lang'] })

  const name = `${source}/${key}`
  watch(
    () => state.revision,
    async revision => {
      const wanted = `${state.language} ${revision}`
      if (key === '' || asked.get(name) === wanted) return
      asked.set(name, wanted)
      try {
        const texts = await fetchTexts(key, source)
        if (asked.get(name) === wanted) spoken.set(name, texts)
      } catch (error) {
        // The results say that nothing can be reached; the next change asks again.
        asked.delete(name)
        console.error(`tidy-lantern: no texts for "${key}"`, error)
      }
    },
    { immediate: true },
  )
  const texts = textsOf(
    () => spoken.get(name) ?? null,
    () => state.language,
  )
  provide(TEXTS, texts)
  return texts
}

/**
 * What is said by texts that came from the service, or have to stand in for them.
 *
 * @param pageLanguage empty where the page names none
 */
export function textsOf(came: () => SpokenTexts | null, pageLanguage: () => string): Texts {
  const language = computed(() => came()?.language ?? (pageLanguage() || undefined))
  const plurals = computed(() => new Intl.PluralRules(language.value))
  const written = (number: number) => new Intl.NumberFormat(language.value).format(number)
  const say: Texts['say'] = (key, values = {}) => {
    const forms = came()?.texts[key]
    const text = forms
      ? (forms[typeof values.count === 'number' ? plurals.value.select(values.count) : 'other'] ?? forms.other ?? '')
      : ((WITHOUT_SERVICE[(language.value ?? '').split('-')[0]!] ?? WITHOUT_SERVICE.en!)[key] ?? '')
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
      new Intl.DateTimeFormat(language.value, { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(day)),
  }
}

import { inject, onBeforeUnmount, provide, shallowReactive, watch, type InjectionKey } from 'vue'
import type { SpokenTexts } from '../shared/contract'
import { useElement } from './element/draw'
import { learnLanguage } from './pageLanguage'
import type { SearchState } from './searchState'
import { fetchTexts, type Source } from './service'
import { textsOf, type Texts } from './speech'

export type { Texts } from './speech'

const TEXTS: InjectionKey<Texts> = Symbol('texts')
export function useTexts(): Texts {
  const texts = inject(TEXTS)
  if (!texts) throw new Error('the element around provides the texts')
  return texts
}

/** By search and source: what came last, the same for all elements of the search on the page. */
const spoken = shallowReactive(new Map<string, SpokenTexts>())
const asked = new Map<string, string>()

/** Tells all that stands in an element in the language that the search speaks on this page. */
export function provideTexts(key: string, source: Source, state: SearchState): Texts {
  const element = useElement()
  const learn = () => {
    const language = learnLanguage(key, element)
    if (language === state.language) return
    const isAnother = state.language !== null
    state.language = language
    // What was asked for before in this language holds.
    if (isAnother) state.revision++
  }
  learn()
  const changed = new MutationObserver(learn)
  changed.observe(document.documentElement, { attributes: true, attributeFilter: ['lang'] })
  onBeforeUnmount(() => changed.disconnect())

  const name = `${source}/${key}`
  watch(
    () => state.revision,
    async revision => {
      const wanted = `${state.language} ${revision}`
      if (key === '' || asked.get(name) === wanted) return
      asked.set(name, wanted)
      try {
        const texts = await fetchTexts(key, source, revision)
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
    () => state.language ?? '',
  )
  provide(TEXTS, texts)
  return texts
}

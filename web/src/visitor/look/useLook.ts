import { useEventListener, useMutationObserver, usePreferredDark } from '@vueuse/core'
import { computed, onMounted, ref, useShadowRoot, watch, type ComputedRef, type Ref } from 'vue'
import type { SearchState } from '../searchState'
import { fetchLook, type Source } from '../service'
import css from '../visitor.css?inline'
import { colourOf, contrast, groundBehind, isDark, type Colour } from './ground'
import { useStyle } from './useStyle'

type Shade = 'light' | 'dark'

/** What must be told from the page's ground, and how well: WCAG 2.2, 1.4.3 and 1.4.11. */
const ON_THE_PAGE: readonly (readonly [token: string, wanted: number])[] = [
  ['text', 4.5],
  ['quiet', 4.5],
  ['accent', 4.5],
  ['edge', 3],
  ['focus', 3],
]

interface Look {
  sheet: CSSStyleSheet
  revision: number
  /** Ends in any case: without a look an element is drawn as the page would draw it. */
  coming: Promise<void>
}
const looks = new Map<string, Look>()

/** The look of a search, the same for all its elements on the page; a draft's is asked for with every change. */
function lookOf(search: string, source: Source, revision: number): Look {
  const key = `${source}/${search}`
  const known = looks.get(key)
  if (known?.revision === revision) return known
  const sheet = known?.sheet ?? new CSSStyleSheet()
  const look: Look = { sheet, revision, coming: Promise.resolve() }
  looks.set(key, look)
  look.coming = fetchLook(search, source).then(
    written => {
      // A later one may have come first.
      if (looks.get(key) === look) sheet.replaceSync(written)
    },
    (error: unknown) => {
      console.error(`tidy-lantern: no look for "${search}"`, error)
    },
  )
  return look
}

/** Whether what an element writes in a shade is told from a ground. */
function isReadable(probe: HTMLElement, shade: Shade, ground: Colour): boolean {
  probe.className = `worn ${shade}`
  return ON_THE_PAGE.every(([token, wanted]) => {
    probe.style.color = `var(--${token})`
    return contrast(colourOf(getComputedStyle(probe).color), ground) >= wanted
  })
}

/** What text stands on, beside the page. */
const BEHIND_TEXT = ['ground', 'around', 'hover', 'mark']

/** The colour of the page's text, where all that text stands on lets it be read; else null. */
function textOfPage(host: Element, probe: HTMLElement, shade: Shade, ground: Colour): string | null {
  probe.className = `worn ${shade}`
  const written = getComputedStyle(host).color
  const text = colourOf(written)
  const grounds = BEHIND_TEXT.map(token => {
    probe.style.color = `var(--${token})`
    return colourOf(getComputedStyle(probe).color)
  })
  return [ground, ...grounds].every(one => contrast(text, one) >= 4.5) ? written : null
}

/**
 * What an element wears: its classes. The shade is the one that can be read on the page's ground, where the look says
 * so; where neither can, or nobody knows the ground, the element brings its own.
 *
 * @param isBoxAlone whether nothing but a box stands on the page's ground, which mostly has a ground of its own
 */
export function useLook(
  element: Ref<HTMLElement | undefined>,
  search: string,
  source: Source,
  state: SearchState,
  isBoxAlone: () => boolean = () => false,
): ComputedRef<string[]> {
  const root = useShadowRoot()
  useStyle(css)
  const prefersDark = usePreferredDark()
  const shade = ref<Shade | null>(null)
  const bringsGround = ref(false)

  function dress() {
    if (!root || !element.value) return
    const probe = document.createElement('i')
    probe.hidden = true
    probe.className = 'worn'
    root.append(probe)
    const scheme = getComputedStyle(probe).getPropertyValue('--scheme').trim()
    const ground = groundBehind(root.host)
    const wanted: Shade =
      scheme === 'dark' || (scheme === 'visitor' ? prefersDark.value : scheme === 'page' && ground && isDark(ground))
        ? 'dark'
        : 'light'
    const other: Shade = wanted === 'dark' ? 'light' : 'dark'
    const choices = scheme === 'page' ? [wanted, other] : [wanted]
    const readable = ground ? choices.find(one => isReadable(probe, one, ground)) : undefined
    const isOfPage = getComputedStyle(probe).getPropertyValue('--text-of-page').trim() === '1'
    const text = isOfPage && readable && ground ? textOfPage(root.host, probe, readable, ground) : null
    if (text) element.value.style.setProperty('--text', text)
    else element.value.style.removeProperty('--text')
    const hasGround = isBoxAlone() && getComputedStyle(probe).getPropertyValue('--box-ground').trim() !== 'transparent'
    probe.remove()
    shade.value = readable ?? wanted
    bringsGround.value = !readable && !hasGround
  }
  watch(
    () => state.revision,
    async revision => {
      if (!search) return
      const look = lookOf(search, source, revision)
      if (root && !root.adoptedStyleSheets.includes(look.sheet)) root.adoptedStyleSheets.push(look.sheet)
      await look.coming
      dress()
    },
    { immediate: true },
  )
  watch([prefersDark, isBoxAlone], dress)
  onMounted(dress)
  // A page that changes between light and dark says so on its root, mostly; what moves there has arrived by its end.
  useMutationObserver(() => [document.documentElement, document.body], dress, { attributes: true })
  useEventListener(document, 'transitionend', event => {
    if (event.target === document.documentElement || event.target === document.body) dress()
  })
  return computed(() => ['worn', shade.value ?? 'dressing', ...(bringsGround.value ? ['own-ground'] : [])])
}

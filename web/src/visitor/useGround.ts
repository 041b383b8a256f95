import { onMounted, ref, type Ref } from 'vue'

/** Where black and white are told from a ground equally well: (L + 0.05)² = 1.05 × 0.05, by WCAG's contrast. */
const DARK = 0.179
const MOSTLY_SEEN_THROUGH = 0.5

/** WCAG 2.2, relative luminance, of red, green and blue from 0 to 255. */
function luminance(colour: readonly number[]): number {
  const [red = 0, green = 0, blue = 0] = colour.map(part => {
    const share = part / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue
}

/** The elements from one to the root of the page, out of shadows too. */
function* outwards(element: Element | null): Generator<Element> {
  for (let at = element; at;) {
    yield at
    const root: Node = at.getRootNode()
    at = at.parentElement ?? (root instanceof ShadowRoot ? root.host : null)
  }
}

/**
 * Whether an element stands on a dark ground of the page's, so that what it puts there itself has to be light. Pictures
 * behind it are not looked at.
 */
export function useGround(element: Ref<HTMLElement | undefined>): Ref<boolean> {
  const isDark = ref(false)
  onMounted(() => {
    for (const one of outwards(element.value ?? null)) {
      const parts =
        getComputedStyle(one)
          .backgroundColor.match(/[\d.]+/g)
          ?.map(Number) ?? []
      if ((parts[3] ?? 1) <= MOSTLY_SEEN_THROUGH || parts.length < 3) continue
      isDark.value = luminance(parts.slice(0, 3)) < DARK
      return
    }
  })
  return isDark
}

/** What an element stands on, and how well something is seen there. */

/** Red, green and blue from 0 to 255, and how much it covers from 0 to 1. */
export type Colour = readonly [red: number, green: number, blue: number, cover: number]

const WHITE: Colour = [255, 255, 255, 1]
let pixel: CanvasRenderingContext2D | null = null

/** A computed colour in whatever notation the page's style sheets have it. */
export function colourOf(written: string): Colour {
  const digits = /^rgba?\(([\d.]+), ([\d.]+), ([\d.]+)(?:, ([\d.]+))?\)$/.exec(written)
  if (digits) return [Number(digits[1]), Number(digits[2]), Number(digits[3]), Number(digits[4] ?? 1)]
  // Of other colour spaces a browser knows what it shows: it is asked for one pixel.
  pixel ??= Object.assign(document.createElement('canvas'), { width: 1, height: 1 }).getContext('2d', {
    willReadFrequently: true,
  })
  if (!pixel) return WHITE
  pixel.clearRect(0, 0, 1, 1)
  pixel.fillStyle = written
  pixel.fillRect(0, 0, 1, 1)
  const [red = 255, green = 255, blue = 255, cover = 255] = pixel.getImageData(0, 0, 1, 1).data
  return [red, green, blue, cover / 255]
}

/** WCAG 2.2, relative luminance. */
function luminance(colour: Colour): number {
  const [red, green, blue] = colour.map(part => {
    const share = part / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as [number, number, number, number]
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue
}

/** WCAG 2.2, contrast ratio, 1 to 21. */
export function contrast(one: Colour, other: Colour): number {
  const [a, b] = [luminance(one), luminance(other)]
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)
}

/** Where black and white are told from a ground equally well: (L + 0.05)² = 1.05 × 0.05. */
export const isDark = (colour: Colour) => luminance(colour) < 0.179

/** The elements from one to the root of the page, out of shadows too. */
function* outwards(element: Element): Generator<Element> {
  for (let at: Element | null = element; at;) {
    yield at
    const root: Node = at.getRootNode()
    at = at.parentElement ?? (root instanceof ShadowRoot ? root.host : null)
  }
}

const over = (top: Colour, below: Colour): Colour => {
  const mixed = (at: 0 | 1 | 2) => top[at] * top[3] + below[at] * (1 - top[3])
  return [mixed(0), mixed(1), mixed(2), 1]
}

/** The colour that the page shows behind an element; null where there is a picture or gradient, so nobody knows. */
export function groundBehind(element: Element): Colour | null {
  const layers: Colour[] = []
  for (const one of outwards(element)) {
    const style = getComputedStyle(one)
    if (style.backgroundImage !== 'none') return null
    const layer = colourOf(style.backgroundColor)
    if (layer[3] > 0) layers.push(layer)
    if (layer[3] === 1) break
  }
  return layers.reduceRight((below, top) => over(top, below), WHITE)
}

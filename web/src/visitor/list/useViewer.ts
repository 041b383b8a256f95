import { computed, nextTick, onBeforeUnmount, ref, watch, type ComputedRef, type Ref } from 'vue'
import type { Hit, Results } from '../../shared/contract'
import { entryNow, VIEWED } from '../address'
import { useElement } from '../element/draw'
import { pictureOf, type ViewedPicture } from './viewedPictures'

/** Where somebody who looks at a picture wants to go. */
export type Step = 'before' | 'next' | 'first' | 'last'

/** The picture that is looked at large. */
export interface Viewed {
  picture: ViewedPicture
  /** Its place among all results, from 1. */
  number: number
  count: number
  isFirst: boolean
  isLast: boolean
}

/**
 * Which picture of a list is looked at large. It is a step of the browser's history, so that Back closes it, and Forward,
 * a reload or the way back from an item's page open it again.
 *
 * @param list what the cards stand in
 * @param turn has the list go on to another of its pages, in place of this one
 */
export function useViewer(
  answer: () => Results,
  list: Readonly<Ref<HTMLElement | undefined>>,
  turn: (page: number) => void,
): {
  viewed: ComputedRef<Viewed | null>
  isPicture: (hit: Hit) => boolean
  open: (hit: Hit) => void
  step: (step: Step) => void
  close: () => Promise<void>
} {
  const host = useElement()
  const nameOf = (picture: ViewedPicture) =>
    `${host.getAttribute('search')} ${picture.hit.collection}/${picture.hit.id}`
  const pictures = computed(() => answer().hits.flatMap(hit => pictureOf(hit) ?? []))
  const at = ref<number | null>(null)
  /** Which picture of the page that is on its way is to be looked at. */
  let awaited: 'first' | 'last' | 'following' | null = null
  /** Whether the list went on to another page meanwhile, which Back then leads away from. */
  let isTurned = false
  const grows = () => answer().list.paging !== 'numbers'

  /** Opens what the entry of the history says, if anything. */
  function follow() {
    const name = entryNow()?.[VIEWED]
    const found = name === undefined ? -1 : pictures.value.findIndex(picture => nameOf(picture) === name)
    at.value = found < 0 ? null : found
    if (at.value === null) isTurned = false
  }
  follow()
  addEventListener('popstate', follow)
  onBeforeUnmount(() => removeEventListener('popstate', follow))

  function note(picture: ViewedPicture, isNew: boolean) {
    const entry = { ...entryNow(), [VIEWED]: nameOf(picture) }
    if (isNew) history.pushState(entry, '')
    else history.replaceState(entry, '')
  }
  function look(number: number) {
    const picture = pictures.value[number]
    if (!picture) return
    const isNew = at.value === null
    at.value = number
    note(picture, isNew)
  }
  watch(pictures, (now, before) => {
    if (at.value === null) return follow()
    const wanted = awaited
    awaited = null
    if (wanted === null && nameOf(now[at.value] ?? before[at.value]!) === nameOf(before[at.value]!)) return
    if (wanted === null || now.length === 0) return follow()
    look(wanted === 'first' ? 0 : wanted === 'last' ? now.length - 1 : at.value + 1)
  })
  /** Whoever closes a picture is back at it. */
  watch(at, async (now, last) => {
    if (now !== null || last === null) return
    const link = list.value?.children[answer().hits.indexOf(pictures.value[last]?.hit as Hit)]?.querySelector('a')
    await nextTick()
    link?.focus({ preventScroll: true })
    link?.scrollIntoView({ block: 'nearest' })
  })

  const hasBefore = () => !grows() && answer().page > 1
  const hasNext = () => answer().page < answer().pages
  function goOn(to: number, picture: 'first' | 'last' | 'following') {
    awaited = picture
    isTurned = true
    turn(to)
  }
  function step(wanted: Step) {
    if (at.value === null) return
    const end = pictures.value.length - 1
    if (wanted === 'first') look(0)
    else if (wanted === 'last') look(end)
    else if (wanted === 'before' && at.value > 0) look(at.value - 1)
    else if (wanted === 'next' && at.value < end) look(at.value + 1)
    else if (wanted === 'before' && hasBefore()) goOn(answer().page - 1, 'last')
    else if (wanted === 'next' && hasNext()) goOn(answer().page + 1, grows() ? 'following' : 'first')
  }
  /** Ends once the history is where it was before, so that something else can become a step of it. */
  async function close() {
    if (at.value === null) return
    at.value = null
    const entry = entryNow()
    if (entry?.[VIEWED] === undefined) return
    if (isTurned) {
      const { [VIEWED]: _, ...others } = entry
      history.replaceState(others, '')
      isTurned = false
      return
    }
    await new Promise(resolve => {
      addEventListener('popstate', resolve, { once: true })
      history.back()
    })
  }

  const viewed = computed<Viewed | null>(() => {
    const picture = at.value === null ? undefined : pictures.value[at.value]
    if (!picture) return null
    const { hits, total, page, perPage } = answer()
    const before = grows() ? 0 : (page - 1) * perPage
    return {
      picture,
      number: before + hits.indexOf(picture.hit) + 1,
      count: total,
      isFirst: at.value === 0 && !hasBefore(),
      isLast: at.value === pictures.value.length - 1 && !hasNext(),
    }
  })
  return {
    viewed,
    isPicture: hit => pictures.value.some(one => one.hit === hit),
    open: hit => look(pictures.value.findIndex(one => one.hit === hit)),
    step,
    close,
  }
}

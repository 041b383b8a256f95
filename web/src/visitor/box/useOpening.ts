import { computed, nextTick, ref, useTemplateRef, watch, type ComputedRef } from 'vue'
import type { ArrangementFace, LiveList } from '../../shared/contract'
import { late } from '../../shared/late'
import type BoxAndList from './BoxAndList.vue'

const boxOverPage = late(() => import('./BoxOverPage.vue').then(one => one.default))
type BoxOverPage = InstanceType<Awaited<ReturnType<typeof boxOverPage.load>>>

/**
 * How the box comes to be in view: always, in place of a sign, below it, or over the page.
 *
 * @param onShut what else ends as the box is shut
 */
export function useOpening(
  arrangement: ComputedRef<ArrangementFace>,
  list: ComputedRef<LiveList | null>,
  onShut: () => void,
) {
  const drawn = useTemplateRef<BoxOverPage>('over-page')
  const here = useTemplateRef<InstanceType<typeof BoxAndList>>('here')
  const opener = useTemplateRef<HTMLElement>('opener')
  const isOpened = ref(false)
  const opening = computed(() => arrangement.value.opening)
  const hasOpener = computed(() => opening.value !== 'always')
  const isOver = () => drawn.value?.isOpen() ?? false
  function shut() {
    onShut()
    drawn.value?.close()
    isOpened.value = false
  }
  /** Whether it is to stand over the page as soon as it can: its script may still be on its way. */
  let isOverWanted = false
  function openOver() {
    isOverWanted = drawn.value === null
    drawn.value?.open()
  }
  watch(drawn, now => {
    if (now && isOverWanted) openOver()
  })
  async function open() {
    isOpened.value = true
    await nextTick()
    if (opening.value === 'over') openOver()
    else here.value?.focus()
  }
  return {
    isOpened,
    hasOpener,
    isOver,
    /** Puts the box over the page. */
    openOver,
    shut,
    /** Whether the sign that opens the box is there; it is not where the box stands in its place. */
    isOpenerThere: computed(() => hasOpener.value && !(opening.value === 'in-place' && isOpened.value)),
    /** What stands over the page, where something of the box may; nothing until its script has come. */
    overPage: computed(() =>
      opening.value === 'over' || list.value?.where === 'over' ? boxOverPage.wanted() : undefined,
    ),
    isInPage: computed(() => opening.value !== 'over' && (!hasOpener.value || isOpened.value)),
    toggle: () => (isOpened.value && opening.value === 'below' ? shut() : open()),
    /** Puts the cursor into the words, wherever they stand. */
    focusWords: () => {
      if (!isOver()) here.value?.focus()
    },
    /** The same for what opened the box, once it is shut. */
    focusOpener: () => void nextTick(() => opener.value?.focus()),
  }
}

import { computed, nextTick, ref, useTemplateRef, watch, type ComputedRef } from 'vue'
import type { ArrangementFace, LiveList } from '../../shared/contract'
import type BoxAndList from './BoxAndList.vue'
import type BoxOverPage from './BoxOverPage.vue'

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
  const overPage = useTemplateRef<InstanceType<typeof BoxOverPage>>('over-page')
  const here = useTemplateRef<InstanceType<typeof BoxAndList>>('here')
  const opener = useTemplateRef<HTMLElement>('opener')
  const isOpened = ref(false)
  const opening = computed(() => arrangement.value.opening)
  const hasOpener = computed(() => opening.value !== 'always')
  const isOver = () => overPage.value?.isOpen() ?? false
  function shut() {
    onShut()
    overPage.value?.close()
    isOpened.value = false
  }
  /** Whether it is to stand over the page as soon as it can: its script may still be on its way. */
  let isOverWanted = false
  function openOver() {
    isOverWanted = overPage.value === null
    overPage.value?.open()
  }
  watch(overPage, now => {
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
    /** Whether something of it may stand over the page. */
    isOverOffered: computed(() => opening.value === 'over' || list.value?.where === 'over'),
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

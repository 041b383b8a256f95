import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue'
import { useElement } from './element/draw'

/** Where there is no room beside the results, filters open as a sheet: in a column of a page as on a phone. */
const ROOM_BESIDE = 560

/** Whether an element is narrow, as its own width says and not the window's. */
export function useRoom(element: Ref<HTMLElement | undefined>): Ref<boolean> {
  const isNarrow = ref(false)
  const host = useElement()
  const measure = () => {
    // Until it is drawn it has no width of its own, and has to be drawn right at once.
    isNarrow.value = (element.value?.clientWidth || host.clientWidth || ROOM_BESIDE) < ROOM_BESIDE
  }
  const resized = new ResizeObserver(measure)
  onMounted(() => {
    measure()
    if (element.value) resized.observe(element.value)
  })
  onBeforeUnmount(() => resized.disconnect())
  return isNarrow
}

import { computed, onBeforeUnmount, onMounted, ref, watch, type ComputedRef, type Ref } from 'vue'
import { useRoot } from '../element/draw'
import type { SearchState } from '../searchState'
import type { Source } from '../service'
import { Dressing } from './dressing'

/**
 * What a component wears: its classes.
 *
 * @param isBoxAlone whether nothing but a box stands on the page's ground, which mostly has a ground of its own
 */
export function useLook(
  element: Ref<HTMLElement | undefined>,
  search: string,
  source: Source,
  state: SearchState,
  isBoxAlone: () => boolean = () => false,
): ComputedRef<readonly string[]> {
  const classes = ref<readonly string[]>([])
  const dressing = new Dressing(
    useRoot(),
    () => element.value ?? null,
    isBoxAlone,
    now => {
      classes.value = now
    },
  )
  watch(
    () => state.revision,
    revision => {
      if (search) void dressing.wear(search, source, revision)
    },
    { immediate: true },
  )
  watch(isBoxAlone, dressing.dress)
  onMounted(dressing.dress)
  onBeforeUnmount(() => dressing.end())
  return computed(() => classes.value)
}

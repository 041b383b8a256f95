import { nextTick, watch } from 'vue'
import { useRoute } from 'vue-router'

const ABOVE_PX = 16

/**
 * Leads to the part of a step that *Go to* names in the address.
 *
 * @param isThere whether the step is drawn
 */
export function useGoToPart(isThere: () => boolean): void {
  const route = useRoute()
  watch(
    () => (isThere() ? route.hash : ''),
    async part => {
      await nextTick()
      const heading = part === '' ? null : document.getElementById(part.slice(1))
      const column = heading?.closest('.decisions')
      // The column alone: what the browser does by itself moves the whole frame as well.
      if (heading && column)
        column.scrollTop += heading.getBoundingClientRect().top - column.getBoundingClientRect().top - ABOVE_PX
    },
    { immediate: true },
  )
}

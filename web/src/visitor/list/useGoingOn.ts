import { nextTick, onBeforeUnmount, ref, watch, type Ref, type ShallowRef } from 'vue'
import type { Results } from '../../shared/contract'
import type { Latest } from '../../shared/useLatest'
import { keptPlace } from '../address'
import { show, type SearchState } from '../searchState'

/**
 * The ways on from a list of results, and back to it: to another page, another query, a longer list; each ends where
 * somebody who reads goes on.
 *
 * @param whole what the list stands in
 * @param focusHeading puts the reader at the top of the list
 */
export function useGoingOn(
  state: SearchState,
  results: Readonly<ShallowRef<Latest<Results>>>,
  whole: Ref<HTMLElement | undefined>,
  focusHeading: () => void,
) {
  let goes: 'on' | 'further' | null = null
  /** How far down somebody was who comes back. */
  const back = ref(keptPlace())
  const comeBack = () => {
    back.value = keptPlace()
    void nextTick(() => {
      // Where nothing is asked anew, the browser puts them there by itself.
      if (results.value.kind === 'ready') back.value = null
    })
  }
  addEventListener('popstate', comeBack)
  onBeforeUnmount(() => removeEventListener('popstate', comeBack))
  let shown = 0
  watch(results, async now => {
    if (now.kind !== 'ready') return
    const from = shown
    shown = now.value.hits.length
    const went = goes
    goes = null
    await nextTick()
    if (went === 'on') focusHeading()
    else if (went === 'further')
      whole.value?.querySelector<HTMLElement>(`.cards > li:nth-child(${from + 1}) a`)?.focus()
    else if (back.value !== null) scrollTo({ top: back.value, behavior: 'instant' })
    back.value = null
  })
  const turn = (page: number) => {
    goes = 'on'
    show(state, state.query, page)
  }
  const ask = (query: string) => {
    goes = 'on'
    show(state, query, 1)
  }
  /**
   * Shows one page more below those that stand there; Back leads to before the list, not to a shorter one.
   *
   * @param pressed whether somebody pressed for it, who reads on at the first that comes
   */
  const more = (pressed: boolean) => {
    const now = results.value
    if (now.kind !== 'ready') return
    goes = pressed ? 'further' : null
    show(state, state.query, now.value.page + 1, state.filters, 'same')
  }
  return { turn, ask, more }
}

import type { ComputedRef, Ref } from 'vue'
import type { LiveList } from '../../shared/contract'
import { tell } from '../events'
import type { LiveRow } from '../live/liveRows'
import type { Source } from '../service'
import { tellChosen } from '../telling'
import { useListKeys } from '../live/useListKeys'
import type { useLiveResults } from '../live/useLiveResults'
import type { useOpening } from './useOpening'

/** What a box can do with what somebody types and chooses in it. */
interface BoxActs {
  search: string
  source: Source
  /** The element, which tells the page's own script. */
  host: Element | undefined
  text: Ref<string>
  list: ComputedRef<LiveList | null>
  live: ReturnType<typeof useLiveResults>
  opening: ReturnType<typeof useOpening>
  target: ComputedRef<string | undefined>
  submit: () => void
}

/** Answers what is typed, what is chosen among live results, and the keys that go through them. */
export function useChoosing({ search, source, host, text, list, live, opening, target, submit }: BoxActs) {
  function toResult(row: LiveRow & { kind: 'hit' }, event?: Event) {
    const { collection, id } = row.hit
    if (!tell(host, 'tidy-choose', { search, collection, id, address: row.address, from: 'live' })) {
      event?.preventDefault()
      return
    }
    tellChosen(search, source, row.hit)
    // A click follows the link by itself.
    if (!event && row.address !== null) {
      if (target.value) window.open(row.address, target.value, 'noopener')
      else location.assign(row.address)
    }
    opening.shut()
  }
  /** @param event the click, where it was one */
  function choose(row: LiveRow, event?: Event) {
    if (row.kind === 'hit') toResult(row, event)
    else if (row.kind === 'more') live.showAll()
    else if (row.kind === 'all') submit()
    else {
      text.value = row.query
      live.open(false)
      opening.focusWords()
    }
  }
  const empty = () => {
    text.value = ''
  }
  const listKey = useListKeys({
    isShown: () => live.isShown.value,
    open: () => live.open(true),
    close: live.close,
    size: () => live.rows.value.length,
    active: live.active,
    choose: () => live.activeRow.value && choose(live.activeRow.value),
    clear: empty,
  })
  /** Whether the first Enter shows live results; where there are none, it asks. */
  const showsOnEnter = () => list.value !== null && list.value.where !== 'nowhere' && list.value.asking.onEnter
  function key(event: KeyboardEvent) {
    const isPlain = !live.isShown.value
    if (list.value?.where === 'over' && !opening.isOver() && event.key === 'ArrowDown') {
      // What there is to go through stands over the page.
      event.preventDefault()
      live.open(true)
      opening.openOver()
    } else if (
      event.key === 'Escape' &&
      (opening.isOver() || (opening.hasOpener.value && isPlain && text.value === ''))
    ) {
      event.preventDefault()
      opening.shut()
      opening.focusOpener()
    } else if (event.key === 'Enter' && isPlain && showsOnEnter() && !event.isComposing && text.value) {
      event.preventDefault()
      live.open(true)
      if (list.value?.where === 'over') opening.openOver()
    } else listKey(event)
  }
  return {
    choose,
    key,
    typed: () => {
      live.open(false)
      if (list.value?.where === 'over') opening.openOver()
    },
    entered: () => {
      if (text.value === '' && list.value?.above.recent) live.open(false)
    },
    clear: () => {
      empty()
      live.close()
      opening.focusWords()
    },
  }
}

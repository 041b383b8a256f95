import { computed, ref, watch } from 'vue'
import type { LiveResults } from '../../shared/contract'
import { useLatest } from '../../shared/useLatest'
import type { Texts } from '../texts'
import { rowsOf } from './liveRows'

const letters = (text: string) => [...text].filter(letter => /[\p{L}\p{N}]/u.test(letter)).length

/**
 * The live results below a box: whether they show, what stands in them, which row Enter would choose.
 *
 * @param id that the box's own ids begin with
 * @param text as it stands in the box
 * @param fewestLetters from which on there are live results
 * @param request everything that live results depend on; null for none at all
 * @param allAddress where all results are
 */
export function useLiveResults<Request>(
  id: string,
  text: () => string,
  fewestLetters: () => number,
  request: () => Request | null,
  fetchFor: (request: Request, signal: AbortSignal) => Promise<LiveResults>,
  pauseMs: number,
  allAddress: () => string,
  { say, nothingFor }: Texts,
) {
  const isOpen = ref(false)
  /** Set by the Down key: the list then shows even below the fewest letters. */
  const isAsked = ref(false)
  const active = ref(-1)
  const isWanted = computed(() => isOpen.value && (isAsked.value || letters(text()) >= fewestLetters()))
  const live = useLatest(
    () => (isWanted.value ? request() : null),
    fetchFor,
    () => (isAsked.value ? 0 : pauseMs),
  )
  const isShown = computed(
    () => isWanted.value && live.value.kind !== 'idle' && (live.value.value !== null || live.value.kind === 'failed'),
  )
  const rows = computed(() => rowsOf(id, live.value.value, allAddress()))
  const status = computed(() => {
    if (!isShown.value) return ''
    if (live.value.kind === 'failed') return say('failed')
    if (live.value.kind === 'loading') return say('searching')
    const answer = live.value.value
    return answer && answer.total > 0 ? say('count', { count: answer.total }) : nothingFor(answer?.query ?? '')
  })
  watch([text, () => live.value.value], () => {
    active.value = -1
  })
  /** @param asked whether for themselves, and not by letters */
  const open = (asked: boolean) => {
    isOpen.value = true
    isAsked.value = asked
  }
  const close = () => {
    isOpen.value = false
    isAsked.value = false
    active.value = -1
  }
  const activeRow = computed(() => (isShown.value ? rows.value[active.value] : undefined))
  return { live, rows, active, activeRow, isShown, status, open, close }
}

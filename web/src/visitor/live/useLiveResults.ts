import { computed, ref, watch } from 'vue'
import type { LiveList, LiveResults } from '../../shared/contract'
import { useLatest } from '../../shared/useLatest'
import type { Texts } from '../texts'
import { rowsOf } from './liveRows'

/** How many letters and digits stand in a text; what 'from so many letters' counts. */
export const letters = (text: string) => [...text].filter(letter => /[\p{L}\p{N}]/u.test(letter)).length

/** What the live results of a box go by. */
export interface LiveWays<Request> {
  /** That the box's own ids begin with. */
  id: string
  /** As it stands in the box. */
  text: () => string
  /** As the owner has it; null until that is known. */
  list: () => LiveList | null
  /** From which on words are looked for. */
  fewestLetters: () => number
  /** Everything that live results depend on; null for none at all. */
  request: () => Request | null
  fetchFor: (request: Request, signal: AbortSignal) => Promise<LiveResults>
  /** Where all results are. */
  allAddress: () => string
  /** What this visitor looked for before, where that is offered. */
  recent: () => readonly string[]
}

const USUAL_PAUSE_MS = 120

/** The live results of a box: whether they show, what stands in them, which row Enter would choose. */
export function useLiveResults<Request>(ways: LiveWays<Request>, { say, nothingFor }: Texts) {
  const isOpen = ref(false)
  /** Set by the Down key, or by Enter where that asks: the list then shows even below the fewest letters. */
  const isAsked = ref(false)
  const isWhole = ref(false)
  const active = ref(-1)
  const isOffered = computed(() => ways.list()?.where !== 'nowhere')
  const isWanted = computed(() => {
    if (!isOpen.value || !isOffered.value) return false
    if (isAsked.value) return true
    const asking = ways.list()?.asking
    return !asking?.onEnter && letters(ways.text()) >= (asking?.from ?? ways.fewestLetters())
  })
  const live = useLatest(
    () => (isWanted.value ? ways.request() : null),
    ways.fetchFor,
    () => (isAsked.value ? 0 : (ways.list()?.asking.pause ?? USUAL_PAUSE_MS)),
  )
  /** Before anything is typed. */
  const recent = computed(() => (isOpen.value && isOffered.value && ways.text() === '' ? ways.recent() : []))
  const isShown = computed(
    () =>
      recent.value.length > 0 ||
      (isWanted.value && live.value.kind !== 'idle' && (live.value.value !== null || live.value.kind === 'failed')),
  )
  const rows = computed(() =>
    rowsOf(ways.id, live.value.value, recent.value, {
      first: isWhole.value ? Infinity : (ways.list()?.first ?? Infinity),
      all: ways.list()?.above.all ?? true,
      allAddress: ways.allAddress(),
    }),
  )
  const status = computed(() => {
    if (!isShown.value || live.value.kind === 'idle') return ''
    if (live.value.kind === 'failed') return say('failed')
    if (live.value.kind === 'loading') return say('searching')
    const answer = live.value.value
    return answer && answer.total > 0 ? say('count', { count: answer.total }) : nothingFor(answer?.query ?? '')
  })
  watch([ways.text, () => live.value.value], () => {
    active.value = -1
    isWhole.value = false
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
  const showAll = () => {
    const at = active.value
    isWhole.value = true
    active.value = at // stands on the first of those that came
  }
  const activeRow = computed(() => (isShown.value ? rows.value[active.value] : undefined))
  return { live, rows, active, activeRow, isShown, status, open, close, showAll }
}

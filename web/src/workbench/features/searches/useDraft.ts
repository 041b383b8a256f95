import { useQueryClient } from '@tanstack/vue-query'
import { useTimeoutFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import type { SearchDesign } from '../../../shared/contract'
import { RequestFailure } from '../../../shared/http'
import { api } from '../../ownerApi'

/**
 * What becomes of a change: it waits for a pause of the owner's, is on its way, is kept, or is not: `failed` can be
 * tried again as it is, `conflict` cannot, since somebody else changed the draft meanwhile.
 */
export type Keeping = 'kept' | 'waiting' | 'sending' | 'failed' | 'conflict'

const PAUSE = 120
const MOST_STEPS_BACK = 200

/**
 * The draft of one search, kept as it is changed; every change can be undone and redone. It belongs to that search
 * until the scope in which it was made ends, and what waits by then is sent all the same.
 *
 * @param onKept called whenever the service has a change, so that the stage can answer from it
 * @param mayChange whether it is changed at all; whoever only looks changes nothing
 */
export function useDraft(search: string, onKept: () => void, mayChange: () => boolean = () => true) {
  const queries = useQueryClient()
  const design = shallowRef<SearchDesign | null>(null)
  const keeping = ref<Keeping>('kept')
  const failure = ref('')
  const past = shallowRef<SearchDesign[]>([])
  const future = shallowRef<SearchDesign[]>([])
  /** What the service has, with the tag that a change of it must carry. */
  let there: { design: SearchDesign | null; tag: string } = { design: null, tag: '' }
  const pause = useTimeoutFn(() => void keep(), PAUSE, { immediate: false })
  let sending: Promise<void> | null = null
  /** What was sent last, if no answer came to it. */
  let unheard: SearchDesign | null = null
  let lastPart = ''
  let over = false

  async function load(): Promise<void> {
    const read = await api.draft(search)
    there = read
    design.value = read.design
    past.value = []
    future.value = []
    keeping.value = 'kept'
    failure.value = ''
    tell()
  }

  /**
   * @param part names what is changed; changes of one part in a row (a slider being drawn) are one step back
   */
  function change(part: string, changed: (now: SearchDesign) => SearchDesign): void {
    if (!design.value || !mayChange()) return
    const next = changed(design.value)
    if (JSON.stringify(next) === JSON.stringify(design.value)) return
    if (part !== lastPart || past.value.length === 0 || !pause.isPending.value)
      past.value = [...past.value, design.value].slice(-MOST_STEPS_BACK)
    lastPart = part
    future.value = []
    put(next)
  }

  function put(next: SearchDesign): void {
    design.value = next
    keeping.value = 'waiting'
    pause.start()
  }

  /** Sends what the service does not have; whoever calls meanwhile waits for the same. */
  function keep(): Promise<void> {
    pause.stop()
    sending ??= sendUntilKept().finally(() => {
      sending = null
    })
    return sending
  }

  /** One change after the other: each must carry the tag that the one before it got. */
  async function sendUntilKept(): Promise<void> {
    while (design.value && design.value !== there.design) {
      keeping.value = 'sending'
      const sent = design.value
      try {
        there = { design: sent, tag: (await api.changeDraft(search, sent, there.tag)).tag }
      } catch (error) {
        if (!(error instanceof RequestFailure)) {
          fail('failed', 'Something went wrong. Try again.')
          throw error
        }
        const changed = error.status === 412
        if (changed && unheard !== null && (await isThere(unheard))) continue
        // Of a request without an answer nobody knows whether it was done.
        unheard = error.reason === 'refused' ? null : sent
        fail(changed ? 'conflict' : 'failed', error.message)
        return
      }
      unheard = null
      tell()
    }
    keeping.value = 'kept'
    failure.value = ''
  }

  function fail(as: 'failed' | 'conflict', message: string): void {
    keeping.value = as
    failure.value = message
    // What the service has by now is none of ours, and not known.
    if (as === 'conflict') there = { design: null, tag: there.tag }
  }

  /** Whether the service has just this: then it was ours, and its tag is the one to go on with. */
  async function isThere(ours: SearchDesign): Promise<boolean> {
    unheard = null
    const now = await api.draft(search).catch(() => null)
    if (JSON.stringify(now?.design) !== JSON.stringify(ours)) return false
    there = { design: ours, tag: now!.tag }
    return true
  }

  function tell(): void {
    if (!over) onKept()
    void queries.invalidateQueries({ queryKey: ['search', search] })
    void queries.invalidateQueries({ queryKey: ['reach', search] })
  }

  /**
   * Sends what the service does not have, also what could not be kept before.
   *
   * @returns the tag of what is on screen, or null if the service still does not have that
   */
  async function settle(): Promise<string | null> {
    await keep()
    return design.value === there.design ? there.tag : null
  }

  function undo(): void {
    const before = past.value.at(-1)
    if (!before || !design.value) return
    future.value = [...future.value, design.value]
    past.value = past.value.slice(0, -1)
    lastPart = ''
    put(before)
  }

  function redo(): void {
    const after = future.value.at(-1)
    if (!after || !design.value) return
    past.value = [...past.value, design.value]
    future.value = future.value.slice(0, -1)
    lastPart = ''
    put(after)
  }

  onScopeDispose(() => {
    over = true
    void settle()
  })

  return {
    design,
    keeping,
    failure,
    load,
    change,
    settle,
    undo,
    redo,
    retry: keep,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  }
}

export type DraftEditing = ReturnType<typeof useDraft>

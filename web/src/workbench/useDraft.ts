import { computed, ref, shallowRef } from 'vue'
import { useQueryClient } from '@tanstack/vue-query'
import { RequestFailure } from '../shared/http'
import type { SearchDesign } from '../shared/contract'
import { api } from './ownerApi'

/** What becomes of a change: on its way, kept, or not. */
export type Keeping = 'kept' | 'keeping' | 'failed' | 'conflict'

const PAUSE = 120
const MOST_STEPS_BACK = 200

/**
 * The draft of one search, kept as it is changed; every change can be undone and redone.
 *
 * @param onKept called whenever the service has a change, so that the stage can answer from it
 */
export function useDraft(key: () => string, onKept: () => void) {
  const queries = useQueryClient()
  const design = shallowRef<SearchDesign | null>(null)
  const keeping = ref<Keeping>('kept')
  const failure = ref('')
  const past = shallowRef<SearchDesign[]>([])
  const future = shallowRef<SearchDesign[]>([])
  let tag = ''
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending: Promise<void> | null = null
  let lastPart = ''

  async function load(): Promise<void> {
    const read = await api.draft(key())
    design.value = read.design
    tag = read.tag
    past.value = []
    future.value = []
    keeping.value = 'kept'
    failure.value = ''
    onKept()
  }

  /**
   * @param part names what is changed; changes of one part in a row (a slider being drawn) are one step back
   */
  function change(part: string, changed: (now: SearchDesign) => SearchDesign): void {
    if (!design.value) return
    const next = changed(design.value)
    if (JSON.stringify(next) === JSON.stringify(design.value)) return
    if (part !== lastPart || past.value.length === 0 || timer === undefined)
      past.value = [...past.value, design.value].slice(-MOST_STEPS_BACK)
    lastPart = part
    future.value = []
    put(next)
  }

  function put(next: SearchDesign): void {
    design.value = next
    keeping.value = 'keeping'
    clearTimeout(timer)
    timer = setTimeout(() => {
      timer = undefined
      void send()
    }, PAUSE)
  }

  async function send(): Promise<void> {
    // One change after the other: each must carry the tag that the one before it got. Several may have waited for the same
    // one, and only the first of them may go on.
    while (sending) await sending
    const sent = design.value
    if (!sent) return
    sending = (async () => {
      try {
        tag = (await api.changeDraft(key(), sent, tag)).tag
        failure.value = ''
        if (design.value === sent) keeping.value = 'kept'
        onKept()
        void queries.invalidateQueries({ queryKey: ['search', key()] })
        void queries.invalidateQueries({ queryKey: ['reach', key()] })
      } catch (error) {
        if (!(error instanceof RequestFailure)) throw error
        keeping.value = error.status === 412 ? 'conflict' : 'failed'
        failure.value = error.message
      }
    })()
    try {
      await sending
    } finally {
      sending = null
    }
  }

  /** Sends what is not sent yet. Afterwards the tag is that of what is on screen, if nothing failed. */
  async function settle(): Promise<string> {
    if (timer !== undefined) {
      clearTimeout(timer)
      timer = undefined
      await send()
    } else if (sending) {
      await sending
    }
    return tag
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

  return {
    design,
    keeping,
    failure,
    load,
    change,
    settle,
    undo,
    redo,
    retry: send,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  }
}

export type DraftEditing = ReturnType<typeof useDraft>

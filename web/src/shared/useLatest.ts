import { shallowReadonly, shallowRef, watch, type ShallowRef } from 'vue'
import { RequestFailure } from './http'

/** What is on screen of something that is fetched: `value` is the last good answer, so that it never flashes away. */
export type Latest<Value> =
  | { kind: 'idle'; value: null }
  | { kind: 'loading'; value: Value | null }
  | { kind: 'ready'; value: Value }
  | { kind: 'failed'; value: Value | null; message: string }

/**
 * Fetches whatever `request` asks for, after a pause without further change; a late answer never overwrites a newer
 * one.
 *
 * @param request null for nothing to show
 * @param fetchFor rejects with a {@link RequestFailure}
 * @param pauseMs read anew with every request
 */
export function useLatest<Request, Value>(
  request: () => Request | null,
  fetchFor: (request: Request, signal: AbortSignal) => Promise<Value>,
  pauseMs: () => number = () => 0,
): Readonly<ShallowRef<Latest<Value>>> {
  const latest = shallowRef<Latest<Value>>({ kind: 'idle', value: null })
  // As text: an equal request is not sent again.
  watch(
    () => JSON.stringify(request()),
    async (_now, _before, onCleanup) => {
      const wanted = request()
      if (wanted === null) {
        latest.value = { kind: 'idle', value: null }
        return
      }
      const stale = new AbortController()
      onCleanup(() => stale.abort())
      latest.value = { kind: 'loading', value: latest.value.value }
      try {
        await pause(pauseMs(), stale.signal)
        const value = await fetchFor(wanted, stale.signal)
        if (!stale.signal.aborted) latest.value = { kind: 'ready', value }
      } catch (error) {
        if (stale.signal.aborted) return
        const message = error instanceof RequestFailure ? error.message : 'Something went wrong. Try again.'
        latest.value = { kind: 'failed', value: latest.value.value, message }
      }
    },
    { immediate: true },
  )
  return shallowReadonly(latest)
}

function pause(ms: number, signal: AbortSignal): Promise<void> {
  if (ms <= 0) return Promise.resolve()
  return new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, ms)
    signal.addEventListener(
      'abort',
      () => {
        clearTimeout(timer)
        reject(signal.reason as Error)
      },
      { once: true },
    )
  })
}

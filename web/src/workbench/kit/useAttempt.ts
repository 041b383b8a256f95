import { ref } from 'vue'
import { RequestFailure } from '../../shared/http'

/**
 * Something that is asked of the service and may be refused: whether it is under way, and the words of a refusal. One
 * at a time; what is no refusal goes on as an error.
 */
export function useAttempt() {
  const busy = ref(false)
  const wrong = ref('')

  /** @returns whether it was done */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    busy.value = true
    wrong.value = ''
    try {
      await work()
      return true
    } catch (error) {
      if (!(error instanceof RequestFailure)) throw error
      wrong.value = error.message
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy, wrong, attempt }
}

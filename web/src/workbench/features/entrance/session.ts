import { ref } from 'vue'
import type { Session } from '../../../shared/contract'
import { api } from '../../ownerApi'

const known = ref<Session | null>(null)

/** Who is signed in, asked once and kept until it changes. */
export const session = {
  known,
  async know(): Promise<Session> {
    known.value ??= await api.session()
    return known.value
  },
  became(now: Session): void {
    known.value = now
  },
  /** The service said that nobody is signed in any more. */
  lost(): void {
    known.value = null
  },
}

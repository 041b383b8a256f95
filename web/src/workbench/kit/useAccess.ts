import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api } from '../ownerApi'

/** What whoever is signed in may do; nothing until that is known. The service decides in any case. */
export function useAccess(site: () => string) {
  const { data: access } = useQuery({ queryKey: ['access'], queryFn: api.access })
  /** Whether they may do everything in the installation. */
  const runs = computed(() => access.value?.runsInstallation === true)
  const role = computed(() => (runs.value ? 'owner' : (access.value?.roles[site()] ?? null)))
  return {
    known: computed(() => access.value !== undefined),
    runs,
    role,
    /** Content, sources and searches. */
    edits: computed(() => role.value === 'owner' || role.value === 'editor'),
    /** The site itself: its people, and what is deleted as a whole. */
    decides: computed(() => role.value === 'owner'),
  }
}

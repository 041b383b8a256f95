import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api } from '../ownerApi'

const useOwnAccess = () => useQuery({ queryKey: ['access'], queryFn: api.access }).data

/** Whether whoever is signed in may do everything in the installation; null until that is known. */
export function useRunsInstallation() {
  const access = useOwnAccess()
  return computed(() => access.value?.runsInstallation ?? null)
}

/** What whoever is signed in may do at a site; nothing until that is known. The service decides in any case. */
export function useAccess(site: () => string) {
  const access = useOwnAccess()
  const runs = computed(() => access.value?.runsInstallation === true)
  const role = computed(() => (runs.value ? 'owner' : (access.value?.roles[site()] ?? null)))
  return {
    known: computed(() => access.value !== undefined),
    /** Everything in the installation. */
    runs,
    role,
    /** Content, sources and searches. */
    edits: computed(() => role.value === 'owner' || role.value === 'editor'),
    /** The site itself: its people, and what is deleted as a whole. */
    decides: computed(() => role.value === 'owner'),
  }
}

import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'

const MINUTE = 60_000

/** How full the disk is and whether the database is what it was; looked at again every minute. */
export function useInstallation() {
  return useQuery({ queryKey: ['installation'], queryFn: api.installation, refetchInterval: MINUTE, staleTime: 0 }).data
}

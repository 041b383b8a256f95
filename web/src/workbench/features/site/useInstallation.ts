import { useQuery } from '@tanstack/vue-query'
import { useRunsInstallation } from '../../kit/useAccess'
import { api } from '../../ownerApi'

const MINUTE = 60_000

/**
 * How full the disk is and whether the database is what it was; looked at again every minute, by those who run the
 * installation.
 */
export function useInstallation() {
  const runs = useRunsInstallation()
  return useQuery({
    queryKey: ['installation'],
    queryFn: api.installation,
    refetchInterval: MINUTE,
    staleTime: 0,
    enabled: () => runs.value === true,
  }).data
}

import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'

/** A site's collections; asked again and again while a correction goes on in one of them. */
export function useCollections(site: () => string) {
  return useQuery({
    queryKey: ['collections', site],
    queryFn: () => api.collections(site()),
    refetchInterval: query => (query.state.data?.some(one => one.correction && !one.correction.problem) ? 700 : false),
  })
}

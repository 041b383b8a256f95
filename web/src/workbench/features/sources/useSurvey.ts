import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'

/** Looking takes the site's own time, so what was seen is good for a while. */
const GOOD_FOR = 10 * 60_000

/** What a site's own pages tell of it, and where its content could be read from; asked again for another address. */
export function useSurvey(site: () => string) {
  const { data: address } = useQuery({
    queryKey: ['sites'],
    queryFn: api.sites,
    select: sites => sites.find(one => one.key === site())?.address,
  })
  return useQuery({
    queryKey: ['survey', site, address],
    queryFn: () => api.survey(site()),
    enabled: () => address.value !== undefined,
    staleTime: GOOD_FOR,
  })
}

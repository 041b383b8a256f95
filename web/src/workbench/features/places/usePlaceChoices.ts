import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'

/** What the box, live results and the page of a draft can be made of, with the limits of their numbers. */
export function usePlaceChoices(search: string) {
  const { data, error, refetch } = useQuery({
    queryKey: ['reach', () => search, 'places'],
    queryFn: () => api.placeChoices(search),
    placeholderData: before => before,
    staleTime: 0,
  })
  return { choices: data, error, refetch }
}

import { useQuery } from '@tanstack/vue-query'
import { computed, type ComputedRef } from 'vue'
import { api } from '../../ownerApi'

/**
 * The pages of the site on which a search's list was met, by their names; the site's own origin is left out of
 * addresses.
 */
export function useCarryingPages(search: () => string): ComputedRef<{ value: string; label: string }[]> {
  const { data: seen } = useQuery({
    queryKey: ['search-pages', search],
    queryFn: () => api.searchPages(search()),
  })
  return computed(() =>
    (seen.value ?? [])
      .filter(one => one.page.elements.some(element => element === 'results' || element === 'list'))
      .map(({ page }) => {
        const path = new URL(page.address).pathname
        return { value: path, label: page.title ? `${page.title} · ${path}` : path }
      }),
  )
}

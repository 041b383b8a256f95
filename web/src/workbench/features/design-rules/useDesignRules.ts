import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'

/** What designs may be, whatever the content, as the service tells it; it does not change while the page is open. */
export function useDesignRules() {
  const { data: rules } = useQuery({ queryKey: ['design-rules'], queryFn: api.designRules, staleTime: Infinity })
  /**
   * Between which ends a number, the length of a text or the number of a list's entries may be, by its path in a design:
   * `tiers.name`. Nothing until the service has answered.
   */
  const limit = (path: string) => rules.value?.limits[path]
  return { rules, limit }
}

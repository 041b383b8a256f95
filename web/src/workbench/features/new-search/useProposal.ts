import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import type { KindOfSite, ProposalChoices } from '../../../shared/contract'
import { api } from '../../ownerApi'

/** What the content of a site suggests for a new search, and what its owner leaves away or says otherwise. */
export function useProposal(site: () => string) {
  const kind = ref<KindOfSite | null>(null)
  /** Null for all that have items. */
  const collections = ref<string[] | null>(null)
  const without = ref<string[]>([])
  const choices = computed<ProposalChoices>(() => ({
    kind: kind.value,
    collections: collections.value,
    without: without.value,
  }))
  const { data, error, refetch } = useQuery({
    queryKey: ['proposal', site, choices],
    queryFn: () => api.searchProposal(site(), choices.value),
    placeholderData: keepPreviousData,
    staleTime: 0,
  })
  function setPart(key: string, on: boolean) {
    without.value = on ? without.value.filter(one => one !== key) : [...without.value, key]
  }
  function setCollection(key: string, on: boolean) {
    const before = collections.value ?? data.value?.collections.filter(one => one.on).map(one => one.key) ?? []
    collections.value = on ? [...before, key] : before.filter(one => one !== key)
  }
  return { proposal: data, error, refetch, kind, choices, setPart, setCollection }
}

import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { CollectionShape, FieldKind, Filter } from '../../../shared/contract'
import { api } from '../../ownerApi'
import { useDesignRules } from '../design-rules/useDesignRules'
import { lineOf } from './filterLines'
import type { FilterRow } from './filterList'
import { fieldsOf, fitsKind, partsOf } from './filters'

/** What the service says about the filters of a search: what they may be, fields to narrow by, what they do today. */
export function useFilterFacts(
  search: () => string,
  collections: () => readonly CollectionShape[],
  filters: () => readonly Filter[],
) {
  const { rules } = useDesignRules()
  const { data: proposals } = useQuery({
    queryKey: ['reach', search, 'filter-proposals'],
    queryFn: () => api.filterProposals(search()),
    staleTime: 0,
  })
  const { data: today } = useQuery({
    queryKey: ['reach', search, 'filter-figures'],
    queryFn: () => api.filterFigures(search()),
    staleTime: 0,
  })

  const proposalOf = (filter: Filter) => proposals.value?.find(one => one.field === fieldsOf(filter.source)[0])
  const todayOf = (filter: Filter) => today.value?.find(one => one.figures.key === filter.head.key)
  /** Fields that no filter has yet. */
  const offered = computed(() => {
    const taken = new Set(filters().flatMap(one => fieldsOf(one.source)))
    return (proposals.value ?? []).filter(one => !taken.has(one.field))
  })
  /** The kind of the field of a filter of one field. */
  const kindOf = (filter: Filter): FieldKind | undefined =>
    proposalOf(filter)?.kind ??
    collections()
      .flatMap(one => one.fields)
      .find(field => field.key === fieldsOf(filter.source)[0])?.kind
  /** A filter as it works: over a field that changed its kind, with what fits the kind of today. */
  function atWork(filter: Filter): Filter {
    const proposal = proposalOf(filter)
    return proposal && rules.value && !fitsKind(filter, proposal.kind, rules.value)
      ? { ...filter, source: proposal.filter.source }
      : filter
  }
  const isJoinable = (filter: Filter) => {
    const kind = kindOf(filter)
    return filter.source.of === 'joint' || (kind !== undefined && rules.value?.filters.joinable.includes(kind))
  }
  /** Filters that one can be joined with. */
  function joinWith({ filter, part }: FilterRow): Filter[] {
    const most = rules.value?.limits['filters.source.parts']?.most ?? 0
    return part !== null || partsOf(filter).length >= most || !isJoinable(filter)
      ? []
      : filters().filter(
          other => other.head.key !== filter.head.key && other.source.of !== 'joint' && isJoinable(other),
        )
  }
  const warnings = (filter: Filter) => todayOf(filter)?.warnings ?? []
  const line = (filter: Filter) => lineOf(atWork(filter), proposalOf(filter), todayOf(filter))
  return { rules, proposals, offered, atWork, joinWith, warnings, line }
}

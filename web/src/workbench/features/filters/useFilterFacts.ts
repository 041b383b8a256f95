import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { CollectionShape, FieldKind, Filter } from '../../../shared/contract'
import { api } from '../../ownerApi'
import { lineOf } from './filterLines'
import { CATEGORY_CONTROLS, isJoinable, MOST_PARTS, warningsOf, type Control } from './filters'
import type { FilterRow } from './filterList'

/** What the content says about the filters of a search: fields to narrow by, values and items today, warnings. */
export function useFilterFacts(
  search: () => string,
  collections: () => readonly CollectionShape[],
  filters: () => readonly Filter[],
) {
  const { data: proposals } = useQuery({
    queryKey: ['reach', search, 'filter-proposals'],
    queryFn: () => api.filterProposals(search()),
    staleTime: 0,
  })
  const { data: figures } = useQuery({
    queryKey: ['reach', search, 'filter-figures'],
    queryFn: () => api.filterFigures(search()),
    staleTime: 0,
  })
  const { data: reach } = useQuery({ queryKey: ['reach', search], queryFn: () => api.reach(search()), staleTime: 0 })

  const proposalOf = (field: string) => proposals.value?.find(one => one.field === field)
  /** Fields that no filter has yet. */
  const offered = computed(() => {
    const taken = new Set(filters().flatMap(one => [one.field, ...(one.joined?.parts.map(part => part.field) ?? [])]))
    return (proposals.value ?? []).filter(one => !taken.has(one.field))
  })
  const kindOf = (filter: Filter): FieldKind =>
    filter.joined
      ? 'category'
      : (proposalOf(filter.field)?.kind ??
        collections()
          .flatMap(one => one.fields)
          .find(field => field.key === filter.field)?.kind ??
        'category')
  /** Controls for a filter, the usual one first; none while no item has a value. */
  const fitting = (filter: Filter): readonly Control[] =>
    filter.joined ? CATEGORY_CONTROLS : (proposalOf(filter.field)?.controls ?? [])
  /** Filters that one can be joined with. */
  const joinWith = (row: FilterRow) =>
    row.part !== null || (row.filter.joined?.parts.length ?? 0) >= MOST_PARTS || !isJoinable(kindOf(row.filter))
      ? []
      : filters().filter(other => other.key !== row.filter.key && !other.joined && isJoinable(kindOf(other)))
  const warnings = (filter: Filter) =>
    proposals.value && reach.value && !filter.joined
      ? warningsOf(filter, proposalOf(filter.field), reach.value.inReach)
      : []
  const line = (filter: Filter) =>
    lineOf(
      filter,
      filter.control ?? fitting(filter)[0],
      kindOf(filter),
      proposalOf(filter.field),
      figures.value?.find(one => one.key === filter.key),
    )
  return { proposals, offered, kindOf, fitting, joinWith, warnings, line }
}

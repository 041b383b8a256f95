import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { CollectionShape, ReachRule, Searched } from '../../../shared/contract'
import { api } from '../../ownerApi'

/** What has to be looked up for a rule to be told: the title of its item, or the names of a field's values. */
interface Wanted {
  readonly collection: string
  readonly field: string | null
  readonly item: string | null
}

const wantedFor = (collection: string, rule: ReachRule): Wanted =>
  rule.item === null
    ? { collection, field: rule.field ?? 'author', item: null }
    : { collection, field: null, item: rule.item }

/** The rules of a search in words: with what their values and items are called, which they know by their keys alone. */
export function useRuleNames(site: () => string, searched: () => readonly Searched[]) {
  const wanted = computed(() => {
    const each = searched().flatMap(({ collection, only, leaveOut }) =>
      [...only, ...leaveOut].filter(rule => rule.address === null).map(rule => wantedFor(collection, rule)),
    )
    return [...new Map(each.map(one => [JSON.stringify(one), one])).entries()].sort().map(([, one]) => one)
  })
  const { data: names } = useQuery({
    queryKey: ['names of rules', site, wanted],
    placeholderData: keepPreviousData,
    queryFn: async () => {
      const found = new Map<string, string>()
      await Promise.all(
        wanted.value.map(async ({ collection, field, item }) => {
          if (item !== null) {
            const { items } = await api.items(site(), collection, new URLSearchParams({ id: item }))
            for (const one of items) found.set(`${collection} item ${one.id}`, one.title)
          } else {
            const values = await api.values(site(), collection, field!, '')
            for (const one of values) found.set(`${collection} ${field} ${one.value}`, one.names.join(' › '))
          }
        }),
      )
      return found
    },
  })
  return function said(collection: CollectionShape, rule: ReachRule): string {
    const named = (key: string, otherwise: string) => names.value?.get(`${collection.key} ${key}`) ?? otherwise
    if (rule.field !== null) {
      const field = collection.fields.find(one => one.key === rule.field)?.label ?? rule.field
      return `${field}: ${named(`${rule.field} ${rule.value}`, rule.value ?? '')}`
    }
    if (rule.author !== null) return `Author: ${named(`author ${rule.author}`, rule.author)}`
    return rule.item === null ? `Address: ${rule.address}` : `Item: ${named(`item ${rule.item}`, rule.item)}`
  }
}

import { ref, type Ref } from 'vue'
import type { Filter, FilterProposal, DesignRules } from '../../../shared/contract'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import type { DraftEditing } from '../searches/useDraft'
import { withApart, withChanged, withJoined } from './filterList'
import { freeKey, keysOf } from './filters'

/** What an owner does to the filters of a draft, each a change that can be undone by itself. */
export function useFilterEdits(search: () => string, draft: DraftEditing, rules: Ref<DesignRules | undefined>) {
  const filters = () => draft.design.value!.filters
  /** The filter whose settings are open, by its key. */
  const open = ref<string | null>(null)
  const { wrong, attempt } = useAttempt()

  /** @param part of the draft that is changed: changes of one part in a row are undone together */
  function put(part: string, changed: Filter[]) {
    draft.change(part, design => ({ ...design, filters: changed }))
  }
  const withFreeKey = (wanted: string) => freeKey(wanted, keysOf(filters()), rules.value!)
  function add({ filter }: FilterProposal) {
    const head = { ...filter.head, key: withFreeKey(filter.head.key) }
    put('filters.add', [...filters(), { ...filter, head }])
  }
  function change(key: string, now: Filter) {
    if (open.value === key) open.value = now.head.key
    put(
      `filter.${key}`,
      withChanged(filters(), key, () => now),
    )
  }
  const join = (key: string, otherKey: string) =>
    attempt(async () => {
      const [filter, other] = [key, otherKey].map(wanted => filters().find(one => one.head.key === wanted))
      if (!filter || !other) return
      const joint = await api.joinedFilter(
        search(),
        filter,
        other,
        filter.source.of === 'joint' ? key : withFreeKey(key),
      )
      put('filters.join', withJoined(filters(), key, otherKey, joint))
      open.value = joint.head.key
    })
  function setApart(key: string, apart: boolean) {
    put('filters.apart', withApart(filters(), key, apart))
    open.value = null
  }
  const relabel = (key: string, now: (filter: Filter) => Filter) =>
    put('filters.labels', withChanged(filters(), key, now))

  return { open, wrong, put, add, change, join, setApart, relabel }
}

import { computed, ref } from 'vue'
import type { Results } from '../../shared/contract'
import { useLatest } from '../../shared/useLatest'
import type { Filters } from '../address'
import type { SearchState } from '../searchState'
import { withTierStyle } from '../cards/tierStyle'
import { loadControls } from '../filters/controls'
import { fetchResults, type Source } from '../service'
import { loadArrangedStyle } from './arrangedStyle'
import { loadExtras } from './useExtras'

interface Wanted {
  query: string
  page: number
  filters: Filters
  revision: number
  /** Whether all pages up to this one stand one below the other. */
  all: boolean
}

/** Results, once all that they are drawn with has come. */
async function fetchDrawable(...asked: Parameters<typeof fetchResults>): Promise<Results> {
  const results = await fetchResults(...asked)
  await Promise.all([
    loadControls(results.filters),
    loadExtras(results),
    withTierStyle(results),
    loadArrangedStyle(results),
  ])
  return results
}

/** The results of a search as its list shows them: one page, or, where the list grows, all pages up to one. */
export function useResults(search: string, source: Source, state: SearchState) {
  /** Whether the list grows; known with the first answer. */
  const grows = ref(false)
  let of = ''
  let pages: Results[] = []

  async function upTo({ page, ...wanted }: Wanted, signal: AbortSignal): Promise<Results> {
    const now = JSON.stringify(wanted)
    if (now !== of) {
      of = now
      pages = []
    }
    const had = pages
    const missing = Array.from({ length: Math.max(0, page - had.length) }, (_, n) => had.length + 1 + n)
    const came = await Promise.all(
      missing.map(one => fetchDrawable(search, source, { ...wanted, page: one }, wanted.revision, signal)),
    )
    // Beyond the last page there is the last once more.
    const all = [...had.slice(0, page), ...came].filter((one, n) => one.page === n + 1)
    if (now === of) pages = all
    const last = all.at(-1) ?? came[0]!
    return { ...last, hits: all.flatMap(one => one.hits), cards: all.flatMap(one => one.cards) }
  }

  const results = useLatest<Wanted, Results>(
    () => {
      const { query, page, filters, revision } = state
      return search ? { query, page, filters, revision, all: grows.value && page > 1 } : null
    },
    async (wanted, signal) => {
      const answer = wanted.all
        ? await upTo(wanted, signal)
        : await fetchDrawable(search, source, wanted, wanted.revision, signal)
      grows.value = answer.list.paging !== 'numbers'
      return answer
    },
  )
  return { results, answer: computed(() => results.value.value) }
}

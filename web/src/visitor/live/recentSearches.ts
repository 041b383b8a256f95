import { ref } from 'vue'

const MOST = 5
const nameOf = (search: string) => `tidy-lantern.recent.${search}`

/** Raised whenever one is added or all are forgotten. */
const changed = ref(0)

/** What this visitor looked for before in a search, the last first. It stays in their browser; none where that keeps nothing. */
export function recentSearches(search: string): readonly string[] {
  void changed.value
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(nameOf(search)) ?? '[]')
    return Array.isArray(kept) ? kept.filter(one => typeof one === 'string').slice(0, MOST) : []
  } catch {
    return [] // storage is refused, or something else wrote there
  }
}

/** Remembers a search in this browser. */
export function remember(search: string, query: string): void {
  if (query === '') return
  keep(search, [query, ...recentSearches(search).filter(one => one !== query)].slice(0, MOST))
}

export const forget = (search: string) => keep(search, [])

function keep(search: string, queries: readonly string[]): void {
  try {
    if (queries.length === 0) localStorage.removeItem(nameOf(search))
    else localStorage.setItem(nameOf(search), JSON.stringify(queries))
  } catch {
    return // where a browser keeps nothing, there is nothing to offer later
  }
  changed.value++
}

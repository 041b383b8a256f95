import type { LiveResults, Results } from '../../../shared/contract'

/** What the stage can be made to show, so that an owner sees a place in every state. */
export type Pretence = 'nothing' | 'one' | 'many' | 'slow'

/** The stage's page is told by this what to pretend; null for nothing. */
export const PRETEND = 'tidy-lantern-pretend'
/** The same, to have a word typed into the box. */
export const TYPE_A_WORD = 'tidy-lantern-type'

const MANY = 10_000
const SLOW_MS = 2500
let pretended: Pretence | null = null

function results(answer: Results): Results {
  const query = answer.query || 'zzqxw'
  if (pretended === 'nothing')
    return { ...answer, query, startingList: false, total: 0, pages: 1, page: 1, hits: [], seeAlso: [] }
  if (pretended === 'one') return { ...answer, total: 1, pages: 1, page: 1, hits: answer.hits.slice(0, 1) }
  return { ...answer, total: MANY, pages: Math.ceil(MANY / answer.perPage) }
}

function live(answer: LiveResults): LiveResults {
  if (pretended === 'nothing') return { ...answer, total: 0, groups: [], completions: [] }
  if (pretended === 'one') {
    const groups = answer.groups.slice(0, 1).map(group => ({ ...group, total: 1, hits: group.hits.slice(0, 1) }))
    return { ...answer, total: 1, groups }
  }
  return { ...answer, total: MANY }
}

/** Has the answers of this page be what is pretended; for the stage alone, whose page nobody else meets. */
export function pretendHere(search: string): void {
  const ask = window.fetch.bind(window)
  window.fetch = async (input, init) => {
    const answer = await ask(input, init)
    const which = /\/(?:draft|version-\d+)\/(results|live)\?/.exec(answer.url)?.[1]
    if (pretended === null || which === undefined || !answer.ok) return answer
    if (pretended === 'slow') {
      await new Promise(resolve => setTimeout(resolve, SLOW_MS))
      init?.signal?.throwIfAborted()
      return answer
    }
    const body: unknown = await answer.json()
    const said = which === 'live' ? live(body as LiveResults) : results(body as Results)
    return new Response(JSON.stringify(said), { headers: { 'Content-Type': 'application/json' } })
  }
  addEventListener(PRETEND, event => {
    pretended = (event as CustomEvent<Pretence | null>).detail
  })
  addEventListener(TYPE_A_WORD, () => void typeAWord(search))
}

const LETTERS_TYPED = 4

/** Types the beginning of a word that is found into the box, as somebody would. */
async function typeAWord(search: string): Promise<void> {
  const answer = await fetch(`/api/owner/searches/${encodeURIComponent(search)}/draft/results?q=`)
  const { hits } = (await answer.json()) as Results
  const words = hits.flatMap(hit => hit.title.split(/[^\p{L}]+/u)).sort((a, b) => b.length - a.length)
  const box = document.querySelector('tidy-search')?.shadowRoot
  box?.querySelector<HTMLElement>('.opener')?.click()
  await new Promise(requestAnimationFrame)
  const input = box?.querySelector<HTMLInputElement>('dialog[open] input') ?? box?.querySelector('input')
  if (!input) return
  input.focus()
  input.value = (words[0] ?? 'the').slice(0, LETTERS_TYPED).toLowerCase()
  input.dispatchEvent(new Event('input', { bubbles: true }))
}

import { computed, watchEffect } from 'vue'
import type { Results } from '../../shared/contract'
import { late } from '../../shared/late'
import { useRoot } from '../element/draw'
import { adoptStyle } from '../look/styles'

const extras = late(() => import('./extras'))

/** Whether there is a list that grows on, by a press or as one scrolls. */
export const goesOn = ({ list, page, pages }: Results): boolean => list.paging !== 'numbers' && page < pages

const needed = (answer: Results): boolean =>
  answer.total === 0 ||
  answer.list.shows.copyLink ||
  answer.popular.length > 0 ||
  answer.seeAlso.length > 0 ||
  answer.related.length > 0 ||
  goesOn(answer)

/** Ends once all that stands around the list of an answer can be drawn with it. */
export async function loadExtras(answer: Results): Promise<void> {
  if (needed(answer)) await extras.load()
}

/** What stands around a list in few answers; nothing until an answer has some of it. */
export function useExtras() {
  const root = useRoot()
  watchEffect(() => {
    const css = extras.came()?.css
    if (css !== undefined) adoptStyle(root, css)
  })
  return computed(extras.came)
}

import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { Trial, TrialOutcome, TrialSide } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'

/** The trials of a search with what became of them; run anew whenever the draft changes. */
export function useTrials(search: () => string) {
  const queries = useQueryClient()
  // Under 'reach', as everything is that follows from the draft.
  const {
    data: ran,
    error,
    refetch,
  } = useQuery({ queryKey: ['reach', search, 'trials'], queryFn: () => api.trials(search()), staleTime: 0 })
  const failing = computed(() => (ran.value?.outcomes ?? []).filter(outcome => !outcome.draft.holds))
  const again = () => queries.invalidateQueries({ queryKey: ['reach', search(), 'trials'] })
  return { ran, error, refetch, failing, again }
}

/** What is expected, as an owner would say it. */
export function expectation(trial: Trial, title: string | null): string {
  const number = trial.number ?? 0
  switch (trial.expects) {
    case 'within': {
      const name = title === null ? `${trial.item} (gone)` : `“${title}”`
      return number === 1 ? `${name} comes first` : `${name} within the first ${formatNumber(number)}`
    }
    case 'at-least':
      return `at least ${counted(number, 'result')}`
    case 'at-most':
      return number === 0 ? 'nothing is found' : `at most ${counted(number, 'result')}`
    case 'suggests':
      return `“Did you mean ${trial.suggestion}?”`
  }
}

/** What one design makes of a trial. */
export function became(trial: Trial, side: TrialSide): string {
  if (trial.expects === 'suggests') return side.didYouMean === null ? 'no question' : `asks “${side.didYouMean}”`
  if (side.total === 0) return 'nothing found'
  if (trial.expects !== 'within') return counted(side.total, 'result')
  return side.place === null
    ? `not among ${counted(side.total, 'result')}`
    : `place ${formatNumber(side.place)} of ${formatNumber(side.total)}`
}

/**
 * How a trial differs between live version and draft, by its item's place or the number of results; null where it does
 * not.
 */
export function shift(outcome: TrialOutcome): { arrow: string; by: string; said: string } | null {
  const { draft, live, trial } = outcome
  if (!live) return null
  if (trial.expects === 'within') {
    if (draft.place === live.place) return null
    if (live.place === null) return { arrow: '▲', by: 'found', said: 'found by the draft only' }
    if (draft.place === null) return { arrow: '▼', by: 'lost', said: 'lost by the draft' }
    const up = live.place - draft.place
    return {
      arrow: up > 0 ? '▲' : '▼',
      by: String(Math.abs(up)),
      said: `${counted(Math.abs(up), 'place')} ${up > 0 ? 'up' : 'down'} in the draft`,
    }
  }
  const more = draft.total - live.total
  if (more === 0) return null
  return {
    arrow: more > 0 ? '▲' : '▼',
    by: formatNumber(Math.abs(more)),
    said: `${counted(Math.abs(more), 'result')} ${more > 0 ? 'more' : 'fewer'} in the draft`,
  }
}

import type { RouteLocationRaw } from 'vue-router'
import type { OpenPoint } from '../../../shared/contract'
import { steps, TRIALS } from '../searches/steps'

/** Parts of steps that have a heading of their own, for points that say no more than that they are about it. */
const PART_OF: Partial<Record<OpenPoint['place'], string>> = { words: 'synonyms', order: 'tiers', box: 'leads' }

/** Where the owner sees to a point. */
export function placeOf(point: OpenPoint, site: string, search: string): RouteLocationRaw {
  switch (point.place) {
    case 'trials':
      return `/${site}/searches/${search}/${TRIALS}`
    case 'items':
      return `/${site}/health`
    case 'source':
      return `/${site}/sources/${point.of}`
    case 'site':
      return { path: `/${site}/settings`, hash: '#origins' }
    default: {
      const step = steps.find(one => one.remarks === point.place) ?? steps[0]
      const part =
        point.of === null ? undefined : (PART_OF[point.place] ?? (point.of === 'texts' ? 'texts' : undefined))
      return { path: `/${site}/searches/${search}/${step.key}`, hash: part === undefined ? '' : `#${part}` }
    }
  }
}

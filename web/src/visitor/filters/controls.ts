import { shallowReactive, type Component } from 'vue'
import type { FilterShape } from '../../shared/contract'

/**
 * What filters are drawn as. Each comes once a filter needs it: most searches have one or two of them. Each takes its
 * `filter`, and emits `put` with what is set anew, or `tick` with one value.
 */
const CONTROLS = {
  bounds: () => import('./FilterBounds.vue'),
  place: () => import('./FilterPlace.vue'),
  words: () => import('./FilterBox.vue'),
  choice: () => import('./FilterChoice.vue'),
  tree: () => import('./FilterBranch.vue'),
} satisfies Record<string, () => Promise<{ default: Component }>>
type Control = keyof typeof CONTROLS

const came = shallowReactive(new Map<Control, Component>())

function named(filter: FilterShape): Control {
  if (filter.bounds) return 'bounds'
  if (filter.around) return 'place'
  switch (filter.control) {
    case 'box':
      return 'words'
    case 'one-of':
    case 'menu':
    case 'chips':
    case 'pictures':
      return 'choice'
    default:
      return 'tree'
  }
}

/** Ends once all these filters can be drawn, so that they stand there with what they narrow. */
export async function loadControls(filters: readonly FilterShape[]): Promise<void> {
  const missing = new Set(filters.map(named).filter(control => !came.has(control)))
  await Promise.all([...missing].map(async control => came.set(control, (await CONTROLS[control]()).default)))
}

/** What a filter is drawn as; nothing until that has come. */
export const controlOf = (filter: FilterShape): Component | undefined => came.get(named(filter))

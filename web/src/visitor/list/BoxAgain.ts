import { h, type FunctionalComponent } from 'vue'
import type { Source } from '../service'

/** A box of the same search above its results, for those who search again. */
export const BoxAgain: FunctionalComponent<{ search: string; source: Source }> = ({ search, source }) =>
  h('tidy-search', { search, source, class: 'box-again', part: 'box-again' })
BoxAgain.props = ['search', 'source']

import { h, type FunctionalComponent } from 'vue'
import type { Run } from '../../shared/contract'

/** A text in runs, the marked ones as `<mark>`. Text only: nothing from a site is ever inserted as HTML. */
export const MarkedRuns: FunctionalComponent<{ runs: readonly Run[] }> = ({ runs }) =>
  runs.map(run => (run.marked ? h('mark', { part: 'mark' }, run.text) : run.text))
MarkedRuns.props = ['runs']

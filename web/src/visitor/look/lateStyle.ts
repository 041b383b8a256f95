import { watchEffect } from 'vue'
import { late } from '../../shared/late'
import { useRoot } from '../element/draw'
import { adoptStyle } from './styles'

/** The style of what seldom shows: it comes with the first answer that needs it, before that is drawn. */
export function lateStyle(fetchCss: () => Promise<{ default: string }>) {
  const style = late(fetchCss)
  return {
    load: style.load,
    /** Brings it into the shadow, once it is there. */
    use: (): void => {
      const root = useRoot()
      watchEffect(() => {
        const css = style.came()?.default
        if (css !== undefined) adoptStyle(root, css)
      })
    },
  }
}

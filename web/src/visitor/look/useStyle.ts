import { useRoot } from '../element/draw'
import { adoptStyle } from './styles'

/** Brings the style of a part into the shadow that it is drawn in. */
export const useStyle = (css: string): void => adoptStyle(useRoot(), css)

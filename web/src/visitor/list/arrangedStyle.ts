import type { Results } from '../../shared/contract'
import { lateStyle } from '../look/lateStyle'

const style = lateStyle(() => import('./arranged.css?inline'))

/** Brings the style of cards side by side, and of walls of pictures, into the shadow. */
export const useArrangedStyle = style.use

/** Ends once results can be drawn as they stand, if that is not one below the other. */
export async function loadArrangedStyle({ list }: Results): Promise<void> {
  if (list.layout.arranged !== 'list') await style.load()
}

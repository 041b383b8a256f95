import { lateStyle } from '../look/lateStyle'

/** The lines above results that say why they stand there, on the owner's stage. */
export const standingStyle = lateStyle(() => import('./standing.css?inline'))

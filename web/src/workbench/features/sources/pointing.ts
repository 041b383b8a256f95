import type { CrawlSettings } from '../../../shared/contract'

/** What an owner pointed at on pages: their main text, what is left out of it, and parts that become fields. */
export type Pointed = Pick<CrawlSettings, 'mainText' | 'leaveOut' | 'parts'>

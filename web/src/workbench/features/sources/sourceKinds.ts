import type { CrawlSettings, FileSettings, SourceSettings, SourceShape, Sync } from '../../../shared/contract'

/** Where content can come from: what a source reads, or what a script sends. */
export type Origin = SourceSettings['kind'] | 'push'

export const ORIGINS: readonly { kind: Origin; icon: string; name: string; what: string }[] = [
  { kind: 'file', icon: 'pi-file', name: 'A file', what: 'CSV, JSON or GeoJSON, uploaded or at an address' },
  { kind: 'feed', icon: 'pi-megaphone', name: 'A feed', what: 'RSS or Atom, as most blogs have one' },
  {
    kind: 'crawl',
    icon: 'pi-sitemap',
    name: 'Pages of the site',
    what: 'read from its sitemap, or by following links',
  },
  { kind: 'push', icon: 'pi-send', name: 'A script of yours', what: 'sends items whenever something changes' },
]

export const nameOfOrigin = (kind: Origin) => ORIGINS.find(one => one.kind === kind)!.name

export const SCHEDULES: readonly { value: SourceShape['schedule']; label: string }[] = [
  { value: 'never', label: 'Only by hand' },
  { value: 'hourly', label: 'Every hour' },
  { value: 'daily', label: 'Every day' },
  { value: 'weekly', label: 'Every week' },
]

export const RUN_STATES: Record<Sync['state'], string> = {
  running: 'Running',
  asking: 'Asks you',
  done: 'Done',
  failed: 'Failed',
  stopped: 'Stopped',
}

/** An uploaded file does not change by itself. */
export const schedulesFor = (settings: SourceSettings) =>
  settings.kind === 'file' && settings.upload !== null ? SCHEDULES.slice(0, 1) : [...SCHEDULES]

/** Whether two sources read the same pages, feed or file. */
export const isSamePlace = (one: SourceSettings, other: SourceSettings) =>
  one.kind === other.kind &&
  one.address === other.address &&
  (one.kind !== 'crawl' || other.kind !== 'crawl' || one.prefix === other.prefix)

/** A file of which nothing is known but, perhaps, its upload. */
export const newFile = (upload: string | null): FileSettings => ({
  kind: 'file',
  upload,
  address: null,
  format: null,
  delimiter: null,
  encoding: null,
  header: null,
})

export const newCrawl = (): CrawlSettings => ({
  kind: 'crawl',
  address: '',
  way: 'sitemap',
  prefix: null,
  pauseMillis: 500,
  mostPages: 2000,
  mainText: null,
  leaveOut: [],
  parts: [],
})

/** A key for a collection with this label. */
export const collectionKeyOf = (label: string) =>
  label
    .normalize('NFD')
    .toLowerCase()
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-+$/g, '')
    .slice(0, 36)

/** The last part of an address or the name of a file, and the words in it. */
export function namedIn(where: string): { last: string; words: string } {
  const last =
    where
      .replace(/[?#].*$/, '')
      .replace(/\/+$/, '')
      .split('/')
      .pop() ?? ''
  const words = decodeURIComponent(last)
    .replace(/\.[a-z]+$/i, '')
    .replace(/[-_]+/g, ' ')
  return { last, words }
}

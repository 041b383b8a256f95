import { computed, ref, watch } from 'vue'
import type { CrawlSettings, FileSettings, SourceSettings } from '../../../shared/contract'
import { newCrawl, newFile, ORIGINS, type Origin } from './sourceKinds'

/**
 * Where content is said to be: of each kind what was said last, so that nothing is lost by looking at another.
 *
 * @param wanted the kind to begin with
 * @param address of the site, whose sitemap is proposed for a new crawl; undefined where none is to be proposed
 */
export function useOrigin(wanted: string | undefined, address: () => string | undefined) {
  const kind = ref<Origin>(ORIGINS.find(one => one.kind === wanted)?.kind ?? 'file')
  const file = ref<FileSettings>(newFile(null))
  const fileName = ref('')
  const feedAddress = ref('')
  const crawl = ref<CrawlSettings>(newCrawl())
  watch(
    address,
    now => {
      if (now && crawl.value.address === '') crawl.value = { ...crawl.value, address: `${now}/sitemap.xml` }
    },
    { immediate: true },
  )
  const settings = computed<SourceSettings>(() => {
    if (kind.value === 'feed') return { kind: 'feed', address: feedAddress.value }
    return kind.value === 'crawl' ? crawl.value : file.value
  })
  /** Takes over what a source that is there reads. */
  function recall(known: SourceSettings) {
    kind.value = known.kind
    if (known.kind === 'file') file.value = known
    else if (known.kind === 'feed') feedAddress.value = known.address
    else crawl.value = known
  }
  /** Takes over an address that was found, of the kind that is wanted. */
  function begin(address: string, prefix: string | null) {
    if (kind.value === 'feed') feedAddress.value = address
    else if (kind.value === 'crawl') crawl.value = { ...crawl.value, address, prefix }
    else file.value = { ...file.value, address }
  }
  /** The address or the file name that the kind goes by. */
  const where = () => {
    if (kind.value === 'feed') return feedAddress.value
    return kind.value === 'crawl' ? (crawl.value.prefix ?? crawl.value.address) : (file.value.address ?? fileName.value)
  }
  return { kind, file, fileName, feedAddress, crawl, settings, begin, recall, where }
}

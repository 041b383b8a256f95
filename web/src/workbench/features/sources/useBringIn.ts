import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Mapping, Preview, SourceShape } from '../../../shared/contract'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import { collectionKeyOf, namedIn, nameOfOrigin, newFile } from './sourceKinds'
import { useOrigin } from './useOrigin'

/** What is known of a new source before anybody says anything, as the address of the page has it. */
export interface Begun {
  /** What is read. */
  readonly kind?: string
  /** Where it is; it is looked at at once. */
  readonly at?: string
  /** Below which folder of the site. */
  readonly below?: string
  /** What its collection may be called. */
  readonly called?: string
  readonly language?: string
  /** The collection that it was begun from. */
  readonly into?: string
}

/**
 * What an owner says on the way from a place to a source: where content is, how it is read, where it goes. Nothing is
 * kept before {@link bringIn}.
 *
 * @param source that is changed; undefined for a new one
 * @param begun what is known already
 */
export function useBringIn(site: string, source: number | undefined, begun: Begun) {
  const router = useRouter()
  const queries = useQueryClient()
  const { data: collections } = useQuery({ queryKey: ['collections', site], queryFn: () => api.collections(site) })
  const { data: address } = useQuery({
    queryKey: ['sites'],
    queryFn: api.sites,
    select: sites => sites.find(one => one.key === site)?.address,
  })

  const before = shallowRef<SourceShape | null>(null)
  const origin = useOrigin(begun.kind, () => (source === undefined ? address.value : undefined))
  const { kind, settings } = origin

  /** Where the items go: a collection's key, or nothing yet for a new one. */
  const collection = ref<string | null>(begun.into ?? null)
  const fresh = ref({
    label: begun.called ?? '',
    key: collectionKeyOf(begun.called ?? ''),
    language: begun.language?.split('-')[0]?.toLowerCase() ?? 'en',
  })
  watch(
    () => fresh.value.label,
    (now, was) => {
      if (fresh.value.key === collectionKeyOf(was)) fresh.value.key = collectionKeyOf(now)
    },
  )
  const run = ref<{ name: string } & Pick<SourceShape, 'schedule' | 'removesMissing'>>({
    name: '',
    schedule: 'never',
    removesMissing: true,
  })

  const looking = useAttempt()
  const keeping = useAttempt()
  const preview = shallowRef<Preview | null>(null)
  const mapping = shallowRef<Mapping | null>(null)

  async function recall(id: number) {
    const was = await api.source(id)
    before.value = was
    origin.recall(was.settings)
    collection.value = was.collection
    mapping.value = was.mapping
    run.value = { name: was.name, schedule: was.schedule, removesMissing: was.removesMissing }
  }
  const asked = (fresh: boolean) =>
    api.preview(site, {
      settings: settings.value,
      mapping: mapping.value,
      collection: collection.value || null,
      fresh,
    })
  /** Reads the first records; a mapping that was corrected stays unless the source is another. */
  async function see(keepMapping = false) {
    if (!keepMapping) mapping.value = null
    const seen = await looking.attempt(async () => {
      preview.value = await asked(true)
      mapping.value = preview.value.mapping
    })
    if (!seen) preview.value = null
    else if (!before.value) suggest()
  }
  let last = 0
  /** With what was read before, so that every correction shows what it does. */
  async function seeAgain(changed: Mapping | null) {
    mapping.value = changed
    const mine = ++last
    await looking.attempt(async () => {
      const seen = await asked(false)
      if (mine !== last) return
      preview.value = seen
      mapping.value = seen.mapping
    })
  }
  watch(collection, () => {
    if (preview.value) void seeAgain(before.value ? mapping.value : null)
  })

  /** What the source and its collection may be called, by where it is. */
  function suggest() {
    const isCrawl = kind.value === 'crawl'
    const { last: end, words } = namedIn(origin.where())
    const ofPages = () => `Pages of ${new URL(origin.crawl.value.address).host}`
    run.value.name ||= begun.called ?? (isCrawl ? ofPages() : end || nameOfOrigin(kind.value))
    if (collection.value === null) {
      const known = collections.value?.find(one => one.key === collectionKeyOf(words))
      if (known) collection.value = known.key
      else if (!fresh.value.label && words && !isCrawl)
        fresh.value.label = words.charAt(0).toUpperCase() + words.slice(1)
    }
    run.value.removesMissing = kind.value !== 'feed'
  }

  async function choose(chosen: File) {
    preview.value = null
    const arrived = await looking.attempt(async () => {
      const { upload } = await api.upload(site, chosen)
      origin.file.value = newFile(upload)
      origin.fileName.value = chosen.name
    })
    if (arrived) await see()
  }

  async function bringIn() {
    await keeping.attempt(async () => {
      if (!collection.value) {
        await api.putCollection(site, fresh.value.key, {
          label: fresh.value.label,
          language: fresh.value.language,
        })
        collection.value = fresh.value.key
      }
      const given = { ...run.value, collection: collection.value, settings: settings.value, mapping: mapping.value! }
      const kept = before.value ? await api.changeSource(before.value.id, given) : await api.addSource(site, given)
      before.value = kept
      await api.runSource(kept.id)
      await queries.invalidateQueries({ queryKey: ['sources'] })
      await router.push(`/${site}/sources/${kept.id}`)
    })
  }

  if (begun.at) {
    origin.begin(begun.at, begun.below ?? null)
    void see()
  }
  if (source !== undefined)
    void looking.attempt(() => recall(source)).then(() => (before.value ? see(true) : undefined))
  return {
    address,
    collections,
    before,
    origin,
    collection,
    fresh,
    run,
    looking,
    keeping,
    preview,
    mapping,
    see,
    seeAgain,
    choose,
    bringIn,
  }
}

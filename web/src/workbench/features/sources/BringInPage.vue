<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type {
  CrawlSettings,
  FileSettings,
  Mapping,
  Preview,
  SourceSettings,
  SourceShape,
} from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import CrawlWhere from './CrawlWhere.vue'
import FeedWhere from './FeedWhere.vue'
import FileWhere from './FileWhere.vue'
import MappingTable from './MappingTable.vue'
import PagePointing from './PagePointing.vue'
import { useAttempt } from '../../kit/useAttempt'

const { site, source, wanted, into } = defineProps<{ site: string; source?: number; wanted?: string; into?: string }>()
type Kind = SourceSettings['kind'] | 'push'
const router = useRouter()
const queries = useQueryClient()
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const { data: here } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site),
})

const choices: readonly { kind: Kind; icon: string; name: string; what: string }[] = [
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
const kind = ref<Kind>(choices.some(one => one.kind === wanted) ? (wanted as Kind) : 'file')
const before = shallowRef<SourceShape | null>(null)

const file = ref<FileSettings>({
  kind: 'file',
  upload: null,
  address: null,
  format: null,
  delimiter: null,
  encoding: null,
  header: null,
})
const fileName = ref('')
const feedAddress = ref('')
const crawl = ref<CrawlSettings>({
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
watch(
  here,
  now => {
    if (now && crawl.value.address === '' && source === undefined)
      crawl.value = { ...crawl.value, address: `${now.address}/sitemap.xml` }
  },
  { immediate: true },
)

const settings = computed<SourceSettings>(() =>
  kind.value === 'feed'
    ? { kind: 'feed', address: feedAddress.value }
    : kind.value === 'crawl'
      ? crawl.value
      : file.value,
)

/** Where the items go: a collection's key, or nothing yet for a new one. */
const collection = ref<string | null>(into ?? null)
const fresh = reactive({ label: '', key: '', language: 'en' })
const keyOf = (label: string) =>
  label
    .normalize('NFD')
    .toLowerCase()
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+|-+$/g, '')
    .slice(0, 36)
watch(
  () => fresh.label,
  (now, was) => {
    if (fresh.key === keyOf(was)) fresh.key = keyOf(now)
  },
)
const places = computed(() => [
  { key: '', label: 'A new collection' },
  ...(collections.value ?? []).map(one => ({ key: one.key, label: `${one.label} (${formatNumber(one.items)})` })),
])

const { busy: looking, wrong: notSeen, attempt: attemptToLook } = useAttempt()
const { busy: keeping, wrong: notKept, attempt: attemptToKeep } = useAttempt()
const preview = shallowRef<Preview | null>(null)
const mapping = shallowRef<Mapping | null>(null)
const name = ref('')
const schedule = ref<SourceShape['schedule']>('never')
const removesMissing = ref(true)
const pointing = ref(false)
const schedules = [
  { value: 'never', label: 'Only by hand' },
  { value: 'hourly', label: 'Every hour' },
  { value: 'daily', label: 'Every day' },
  { value: 'weekly', label: 'Every week' },
]

watch(
  () => source,
  async id => {
    if (id === undefined) return
    await attemptToLook(async () => {
      const was = await api.source(id)
      before.value = was
      kind.value = was.settings.kind
      if (was.settings.kind === 'file') file.value = was.settings
      else if (was.settings.kind === 'feed') feedAddress.value = was.settings.address
      else crawl.value = was.settings
      collection.value = was.collection
      mapping.value = was.mapping
      name.value = was.name
      schedule.value = was.schedule
      removesMissing.value = was.removesMissing
    })
    if (before.value) await see(true)
  },
  { immediate: true },
)

/** Reads the first records; a mapping that was corrected stays unless the source is another. */
async function see(keepMapping = false) {
  if (!keepMapping) mapping.value = null
  const seen = await attemptToLook(async () => {
    preview.value = await api.preview(site, {
      settings: settings.value,
      mapping: mapping.value,
      collection: collection.value || null,
      fresh: true,
    })
    mapping.value = preview.value.mapping
  })
  if (!seen) preview.value = null
  else if (!before.value) suggest()
}
/** With what was read before, so that every correction shows what it does. */
let asked = 0
async function seeAgain(changed: Mapping | null) {
  mapping.value = changed
  const mine = ++asked
  await attemptToLook(async () => {
    const seen = await api.preview(site, {
      settings: settings.value,
      mapping: changed,
      collection: collection.value || null,
      fresh: false,
    })
    if (mine === asked) {
      preview.value = seen
      mapping.value = seen.mapping
    }
  })
}
watch(collection, () => {
  if (preview.value) void seeAgain(before.value ? mapping.value : null)
})

function suggest() {
  const from =
    kind.value === 'file'
      ? (file.value.address ?? fileName.value)
      : kind.value === 'feed'
        ? feedAddress.value
        : (crawl.value.prefix ?? crawl.value.address)
  const last =
    from
      .replace(/[?#].*$/, '')
      .replace(/\/+$/, '')
      .split('/')
      .pop() ?? ''
  const word = decodeURIComponent(last)
    .replace(/\.[a-z]+$/i, '')
    .replace(/[-_]+/g, ' ')
  name.value ||=
    kind.value === 'crawl'
      ? `Pages of ${new URL(crawl.value.address).host}`
      : last || choices.find(one => one.kind === kind.value)!.name
  if (collection.value === null) {
    const known = collections.value?.find(one => one.key === keyOf(word))
    if (known) collection.value = known.key
    else if (!fresh.label && word && kind.value !== 'crawl') fresh.label = word.charAt(0).toUpperCase() + word.slice(1)
  }
  removesMissing.value = kind.value !== 'feed'
}

async function choose(chosen: File) {
  preview.value = null
  const arrived = await attemptToLook(async () => {
    const { upload } = await api.upload(site, chosen)
    file.value = { kind: 'file', upload, address: null, format: null, delimiter: null, encoding: null, header: null }
    fileName.value = chosen.name
  })
  if (arrived) await see()
}

/** An uploaded file does not change by itself. */
const offeredSchedules = computed(() =>
  kind.value === 'file' && file.value.upload ? schedules.slice(0, 1) : schedules,
)
const ready = computed(
  () =>
    mapping.value !== null &&
    name.value.trim() !== '' &&
    (collection.value ? true : fresh.label.trim() !== '' && fresh.key !== ''),
)
async function bringIn() {
  await attemptToKeep(async () => {
    if (!collection.value) {
      await api.putCollection(site, fresh.key, { label: fresh.label, language: fresh.language })
      collection.value = fresh.key
    }
    const given = {
      collection: collection.value,
      name: name.value,
      settings: settings.value,
      mapping: mapping.value!,
      removesMissing: removesMissing.value,
      schedule: schedule.value,
    }
    const kept = before.value ? await api.changeSource(before.value.id, given) : await api.addSource(site, given)
    before.value = kept
    await api.runSource(kept.id)
    await queries.invalidateQueries({ queryKey: ['sources'] })
    await router.push(`/${site}/sources/${kept.id}`)
  })
}

const feedExample = computed(() => `${here.value?.address ?? 'https://your-site.example'}/feed`)
const form = computed(() => preview.value?.form ?? null)
const formats = [
  { value: 'csv', label: 'CSV' },
  { value: 'json', label: 'a JSON list' },
  { value: 'json-lines', label: 'JSON Lines' },
  { value: 'geojson', label: 'GeoJSON' },
]
const delimiters = [
  { value: ',', label: 'commas' },
  { value: ';', label: 'semicolons' },
  { value: '\t', label: 'tabs' },
  { value: '|', label: 'bars |' },
]
const encodings = ['UTF-8', 'windows-1252', 'ISO-8859-15', 'UTF-16LE', 'UTF-16BE'].map(value => ({
  value,
  label: value,
}))
function readAs(change: Partial<FileSettings>) {
  file.value = { ...file.value, ...change }
  void see()
}
function pointed(change: Pick<CrawlSettings, 'mainText' | 'leaveOut' | 'parts'>) {
  crawl.value = { ...crawl.value, ...change }
  pointing.value = false
  void see()
}
const pushLine = computed(
  () => `curl -X PUT ${location.origin}/api/owner/sites/${site}/collections/${collection.value || collections.value?.[0]?.key || 'posts'}/items \\
  -H "Authorization: Bearer YOUR-ACCESS-KEY" -H "Content-Type: application/jsonl" --data-binary @items.jsonl`,
)
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="before ? `/${site}/sources/${before.id}` : `/${site}/content`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      {{ before ? before.name : 'Content' }}
    </RouterLink>
    <div class="page-head">
      <div>
        <h1>{{ before ? `Change how “${before.name}” is read` : 'Bring content in' }}</h1>
        <p class="lead">
          {{
            before
              ? 'You see what would become of the first items. Nothing is changed until you run it.'
              : 'First you see what is there. Nothing is taken until you say so.'
          }}
        </p>
      </div>
    </div>

    <section class="slip part" aria-labelledby="where">
      <h2 id="where">Where is it?</h2>
      <div v-if="!before" class="choices" role="radiogroup" aria-labelledby="where">
        <label v-for="one in choices" :key="one.kind" :class="{ chosen: kind === one.kind }">
          <input v-model="kind" type="radio" name="kind" :value="one.kind" @change="preview = null" />
          <i class="pi" :class="one.icon" aria-hidden="true" />
          <b>{{ one.name }}</b>
          <small>{{ one.what }}</small>
        </label>
      </div>

      <FileWhere
        v-if="kind === 'file'"
        v-model="file"
        :file-name="fileName"
        :busy="looking"
        @chosen="choose"
        @look="see()"
      />
      <FeedWhere
        v-else-if="kind === 'feed'"
        v-model="feedAddress"
        :busy="looking"
        :example="feedExample"
        @look="see()"
      />
      <CrawlWhere v-else-if="kind === 'crawl'" v-model="crawl" :busy="looking" @look="see(before !== null)" />
      <div v-else>
        <p class="lead">
          Send JSON Lines: one object a line, each with an
          <code>id</code>. Fields are made from what comes; an item that is there already is replaced. Access keys are
          under <RouterLink :to="`/${site}/settings`">Site</RouterLink>.
        </p>
        <pre tabindex="0" aria-label="Command that sends items">{{ pushLine }}</pre>
        <p class="quiet push-ways">
          <code>?partial=true</code>
          leaves what a line does not name.
          <code>"_delete": true</code>
          in a line takes its item away.
          <code>?everything=true</code>
          removes what is not named.
        </p>
      </div>
      <p v-if="notSeen" class="remark bad" role="alert">
        <i class="pi pi-exclamation-triangle" aria-hidden="true" />
        {{ notSeen }}
      </p>
    </section>

    <template v-if="preview && kind !== 'push'">
      <section class="slip part" aria-labelledby="becomes">
        <div class="part-head">
          <h2 id="becomes">What becomes of it</h2>
          <p class="quiet" role="status">
            {{
              preview.complete
                ? counted(preview.records, 'record')
                : `The first ${counted(preview.records, kind === 'crawl' ? 'page' : 'record')}`
            }}, {{ counted(preview.columns.length, 'column') }}
          </p>
          <span class="grow" />
          <Button
            v-if="kind === 'crawl'"
            label="Point at parts of a page"
            icon="pi pi-bullseye"
            severity="secondary"
            outlined
            size="small"
            @click="pointing = true"
          />
        </div>
        <p v-if="form" class="form">
          Read as
          <Select
            :model-value="form.format"
            :options="formats"
            option-label="label"
            option-value="value"
            size="small"
            aria-label="Format of the file"
            @update:model-value="readAs({ format: $event, delimiter: null, header: null })"
          />
          in
          <Select
            :model-value="form.encoding"
            :options="encodings"
            option-label="label"
            option-value="value"
            size="small"
            aria-label="Encoding of the file"
            @update:model-value="readAs({ encoding: $event })"
          />
          <template v-if="form.format === 'csv'">
            with
            <Select
              :model-value="form.delimiter"
              :options="delimiters"
              option-label="label"
              option-value="value"
              size="small"
              aria-label="Between columns"
              @update:model-value="readAs({ delimiter: $event })"
            />
            between columns; the first row
            <Select
              :model-value="form.header"
              :options="[
                { value: true, label: 'names them' },
                { value: false, label: 'is an item' },
              ]"
              option-label="label"
              option-value="value"
              size="small"
              aria-label="The first row"
              @update:model-value="readAs({ header: $event })"
            />
          </template>
        </p>
        <p v-for="note in preview.notes" :key="note" class="remark">
          <i class="pi pi-info-circle" aria-hidden="true" />
          {{ note }}
        </p>
        <p v-if="preview.problems.length > 0" class="remark bad">
          <i class="pi pi-exclamation-triangle" aria-hidden="true" />
          <span>
            {{ preview.problems.length === 1 ? 'One record' : `${preview.problems.length} records` }} of the first
            cannot be read:
            <template v-for="(problem, n) in preview.problems.slice(0, 3)" :key="problem.at">
              {{ n > 0 ? '; ' : '' }}{{ problem.at }}, {{ problem.reason }} </template
            >.
          </span>
        </p>
        <MappingTable v-if="mapping" :preview="preview" :mapping="mapping" @change="seeAgain" />
      </section>

      <section class="slip part" aria-labelledby="goes">
        <h2 id="goes">Where it goes</h2>
        <div class="where">
          <div class="field">
            <label for="into">Collection</label>
            <Select
              :model-value="collection ?? ''"
              input-id="into"
              :options="places"
              option-label="label"
              option-value="key"
              placeholder="A new collection"
              :disabled="before !== null"
              @update:model-value="collection = $event || null"
            />
          </div>
          <template v-if="!collection">
            <div class="field">
              <label for="new-label">What visitors read</label>
              <InputText id="new-label" v-model="fresh.label" maxlength="80" placeholder="Recipes" />
            </div>
            <div class="field small">
              <label for="new-key">Key for scripts</label>
              <InputText id="new-key" v-model="fresh.key" />
            </div>
            <div class="field small">
              <label for="new-language">Language</label>
              <InputText id="new-language" v-model="fresh.language" />
            </div>
          </template>
          <div class="field grow">
            <label for="name">Name of this source</label>
            <InputText id="name" v-model="name" maxlength="80" />
          </div>
          <div class="field">
            <label for="schedule">Read again</label>
            <Select
              v-model="schedule"
              input-id="schedule"
              :options="offeredSchedules"
              option-label="label"
              option-value="value"
            />
          </div>
        </div>
        <div class="switch">
          <ToggleSwitch v-model="removesMissing" input-id="removes" />
          <label for="removes">
            <b>Remove items that it no longer has</b>
            <small class="quiet">
              Of those it brought itself. If that would be more than a third of the collection, you are asked first.
            </small>
          </label>
        </div>
        <p v-if="notKept" class="remark bad" role="alert">
          <i class="pi pi-exclamation-triangle" aria-hidden="true" />
          {{ notKept }}
        </p>
        <div class="line end">
          <span v-if="!ready" class="quiet">
            {{
              mapping === null
                ? 'Map a column first.'
                : name.trim() === ''
                  ? 'Give the source a name.'
                  : 'Name the new collection.'
            }}
          </span>
          <Button
            :label="
              before
                ? 'Keep it and run'
                : preview.complete
                  ? `Bring in ${counted(preview.records, 'item')}`
                  : 'Bring it all in'
            "
            icon="pi pi-download"
            :loading="keeping"
            :disabled="!ready"
            @click="bringIn"
          />
        </div>
      </section>
    </template>
    <PagePointing
      v-if="pointing"
      v-model="pointing"
      :site="site"
      :settings="crawl"
      :pages="preview?.items.map(item => item.at) ?? []"
      @pointed="pointed"
    />
  </main>
</template>

<style scoped>
.part {
  padding: 20px 24px;
  margin-bottom: 16px;
  display: grid;
  gap: 16px;
}
.part-head {
  display: flex;
  align-items: baseline;
  gap: 16px;
}
.choices {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 12px;
}
.choices label {
  position: relative;
  display: grid;
  gap: 2px;
  padding: 14px 16px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  cursor: pointer;
}
.choices label:hover {
  background: var(--leaf);
}
.choices .chosen {
  border-color: var(--sea);
  box-shadow: inset 0 0 0 1px var(--sea);
  background: var(--sea-wash);
}
.choices input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.choices label:focus-within {
  outline: 2px solid var(--sea);
  outline-offset: 2px;
}
.choices .pi {
  font-size: 18px;
  color: var(--sea);
  margin-bottom: 4px;
}
.choices small {
  color: var(--quiet);
  font-size: 12.5px;
}
.choices .chosen small {
  color: #45555d;
}
.line.end {
  justify-content: flex-end;
}
.form {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.switch {
  display: flex;
  gap: 12px;
  align-items: flex-start;
}
.switch small {
  display: block;
  font-size: 13px;
}
pre {
  margin: 12px 0 0;
  padding: 14px 16px;
  overflow-x: auto;
  background: var(--leaf);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.push-ways {
  margin-top: 10px;
  font-size: 13px;
}
@media (max-width: 900px) {
  .choices {
    grid-template-columns: 1fr 1fr;
  }
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, reactive, ref, watch } from 'vue'
import type { FieldSaid, PlacementShape } from '../../../shared/contract'
import { safeAddress } from '../../../shared/http'
import { formatDay, formatTime, withDays } from '../../kit/format'
import { api } from '../../ownerApi'
import LoadFailure from '../../kit/LoadFailure.vue'
import { useAttempt } from '../../kit/useAttempt'

const { site, collection, id } = defineProps<{ site: string; collection: string; id: string }>()
const queries = useQueryClient()
const {
  data: item,
  error,
  refetch,
} = useQuery({
  queryKey: ['item', () => site, () => collection, () => id],
  queryFn: () => api.item(site, collection, id),
  staleTime: 0,
})
const { data: searches } = useQuery({
  queryKey: ['found-by', () => site, () => collection, () => id],
  queryFn: () => api.foundBy(site, collection, id),
  staleTime: 0,
})
const { data: sources } = useQuery({ queryKey: ['sources', () => site], queryFn: () => api.sources(site) })
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const { data: here } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site),
})
const { data: placements } = useQuery({
  queryKey: ['placements', () => site],
  queryFn: () => api.placements(site),
  staleTime: 0,
})
const placed = computed(() =>
  (placements.value ?? []).filter(one => one.item.collection === collection && one.item.id === id),
)
const day = (of: string) => formatDay(`${of}T12:00`)
function when(one: PlacementShape): string {
  const place = one.place === null ? '' : `place ${one.place}`
  const state =
    one.state === 'ended'
      ? `ended ${day(one.until!)}`
      : one.state === 'begins-later'
        ? `begins ${day(one.from!)}`
        : one.until === null
          ? 'for good'
          : `until ${day(one.until)}`
  return [place, state].filter(Boolean).join(', ')
}
const take = (one: PlacementShape) =>
  attempt(async () => queries.setQueryData(['placements', site], await api.unplace(site, [one.item], one.tier)))
const label = computed(() => collections.value?.find(one => one.key === collection)?.label ?? collection)
const source = computed(() => sources.value?.find(one => one.id === item.value?.source))
const whole = (of: string) => safeAddress(of.startsWith('/') ? (here.value?.address ?? '') + of : of)

const mark = reactive({ keptOut: false, keywords: '', title: '', summary: '', image: '', imageAlternative: '' })
watch(
  item,
  now => {
    if (now)
      Object.assign(mark, {
        keptOut: now.mark.keptOut,
        keywords: now.mark.keywords,
        title: now.mark.title ?? '',
        summary: now.mark.summary ?? '',
        image: now.mark.image ?? '',
        imageAlternative: now.mark.imageAlternative ?? '',
      })
  },
  { immediate: true },
)
const { busy, wrong, attempt } = useAttempt()
const said = ref('')
async function keep() {
  said.value = ''
  const kept = await attempt(() =>
    api.mark(site, collection, id, {
      keptOut: mark.keptOut,
      keywords: mark.keywords,
      title: mark.title || null,
      summary: mark.summary || null,
      image: mark.image || null,
      imageAlternative: mark.imageAlternative || null,
    }),
  )
  if (kept) {
    said.value = 'Kept. Searches know it already.'
    await queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'sites' })
  }
}
async function keepOut(out: boolean) {
  mark.keptOut = out
  await keep()
}
const of = (key: string): FieldSaid | undefined => item.value?.fields.find(field => field.key === key)
/** What the source says, whether or not the owner wrote something in its place. */
const sourced = (key: string) => of(key)?.instead ?? of(key)?.text ?? ''
const opened = ref<string[]>([])
const LONG = 320
const cut = (field: FieldSaid) => field.text !== null && field.text.length > LONG && !opened.value.includes(field.key)
const filled = computed(() => (item.value?.fields ?? []).filter(field => field.text !== null || field.instead !== null))
const empty = computed(() => (item.value?.fields ?? []).filter(field => field.text === null && field.instead === null))
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/content/${collection}`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      {{ label }}
    </RouterLink>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="item">
      <div class="page-head">
        <div>
          <h1>{{ item.title }}</h1>
          <p class="lead">
            <code>{{ item.id }}</code>, last changed {{ formatTime(item.changed) }},
            {{
              item.source === null
                ? 'sent by a script'
                : source
                  ? 'brought by '
                  : 'brought by a source that was taken away'
            }}
            <RouterLink v-if="source" :to="`/${site}/sources/${source.id}`">{{ source.name }}</RouterLink>.
            <a v-if="item.address && whole(item.address)" :href="whole(item.address)!" target="_blank" rel="noopener">
              Open its page
            </a>
          </p>
        </div>
      </div>
      <p v-if="item.notFound" class="remark bad">
        <i class="pi pi-exclamation-triangle" aria-hidden="true" />
        No search finds this item: {{ item.notFound }}. Correct it at its source.
      </p>
      <div class="columns">
        <section class="slip" aria-label="What it says">
          <table>
            <thead class="unseen">
              <tr>
                <th>Field</th>
                <th>What it says</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="field in filled" :key="field.key">
                <th scope="row">
                  {{ field.label }}
                  <small>
                    {{ field.kind }}
                    <template v-if="field.property !== field.key">, as {{ field.property }}</template>
                  </small>
                </th>
                <td>
                  <a
                    v-if="field.addressed && field.text && whole(field.text)"
                    :href="whole(field.text)!"
                    target="_blank"
                    rel="noopener"
                  >
                    {{ field.text }}
                  </a>
                  <template v-else>
                    <span class="said">
                      {{
                        cut(field)
                          ? `${field.text!.slice(0, LONG)}…`
                          : field.kind === 'date'
                            ? withDays(field.text ?? '')
                            : field.text
                      }}
                    </span>
                    <Button v-if="cut(field)" label="Show all" text size="small" @click="opened.push(field.key)" />
                  </template>
                  <small v-if="field.instead !== null" class="instead">
                    <i class="pi pi-pencil" aria-hidden="true" />
                    Written by you.
                    {{ field.instead ? `Its source says: ${field.instead.slice(0, 160)}` : 'Its source says nothing.' }}
                  </small>
                </td>
              </tr>
            </tbody>
          </table>
          <p v-if="empty.length > 0" class="quiet none">
            It says nothing in {{ empty.map(field => field.label).join(', ') }}.
          </p>
        </section>
        <aside>
          <section class="slip side" aria-labelledby="found-by">
            <h2 id="found-by">Which searches find it</h2>
            <p v-if="searches?.length === 0" class="quiet">This site has no search yet.</p>
            <ul class="searches">
              <li v-for="one in searches ?? []" :key="one.key">
                <i class="pi" :class="one.draft ? 'pi-check-circle good' : 'pi-minus-circle bad'" aria-hidden="true" />
                <div>
                  <RouterLink :to="`/${site}/searches/${one.key}/what-is-searched`">{{ one.name }}</RouterLink>
                  <small>
                    {{ one.draft ? 'can find it' : `cannot: ${one.why}` }}
                    <template v-if="one.live !== null && one.live !== one.draft">
                      {{ one.live ? ' The live version still can.' : ' The live version cannot yet.' }}
                    </template>
                  </small>
                </div>
              </li>
            </ul>
          </section>
          <section v-if="placed.length > 0" class="slip side" aria-labelledby="placed">
            <h2 id="placed">Featured by hand</h2>
            <ul class="searches">
              <li v-for="one in placed" :key="one.tier">
                <i class="pi pi-star" aria-hidden="true" />
                <div>
                  <b>{{ one.tier }}</b>
                  <small>{{ when(one) }}</small>
                </div>
                <Button
                  label="Take out"
                  text
                  size="small"
                  severity="secondary"
                  :aria-label="`Take out of the tier ${one.tier}`"
                  @click="take(one)"
                />
              </li>
            </ul>
          </section>
          <form class="slip side" aria-labelledby="yours" @submit.prevent="keep">
            <h2 id="yours">What you add</h2>
            <p class="quiet small">Stays through every sync.</p>
            <div class="switch">
              <ToggleSwitch input-id="keep-out" :model-value="mark.keptOut" @update:model-value="keepOut" />
              <label for="keep-out"><b>Keep out of search</b></label>
            </div>
            <div class="field">
              <label for="keywords">Keywords</label>
              <InputText id="keywords" v-model="mark.keywords" aria-describedby="keywords-help" />
              <small id="keywords-help">It is found by them too, as by its title. Shown nowhere.</small>
            </div>
            <div class="field">
              <label for="own-title">Title instead</label>
              <InputText id="own-title" v-model="mark.title" :placeholder="sourced('title')" />
            </div>
            <div class="field">
              <label for="own-summary">Summary instead</label>
              <Textarea
                id="own-summary"
                v-model="mark.summary"
                rows="3"
                auto-resize
                :placeholder="sourced('summary')"
              />
            </div>
            <div class="field">
              <label for="own-image">Image instead</label>
              <InputText id="own-image" v-model="mark.image" placeholder="Address of a picture" />
            </div>
            <div v-if="mark.image" class="field">
              <label for="own-alternative">What it shows</label>
              <InputText id="own-alternative" v-model="mark.imageAlternative" />
            </div>
            <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
            <div class="line">
              <Button type="submit" label="Keep" :loading="busy" />
              <span class="quiet small" role="status">{{ said }}</span>
            </div>
          </form>
        </aside>
      </div>
    </template>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 16px;
  align-items: start;
}
table {
  width: 100%;
  border-collapse: collapse;
}
tbody th {
  text-align: start;
  vertical-align: top;
  width: 150px;
  padding: 10px 12px 10px 20px;
  font-weight: 600;
  border-bottom: 1px solid var(--line);
}
tbody th small {
  display: block;
  font-weight: 400;
  color: var(--quiet);
  font-size: 12.5px;
}
td {
  padding: 10px 20px 10px 12px;
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
}
tr:last-child th,
tr:last-child td {
  border-bottom: 0;
}
.said {
  white-space: pre-line;
}
.instead {
  display: block;
  color: var(--lamp-deep);
  margin-top: 4px;
  font-size: 12.5px;
}
.instead .pi {
  font-size: 11px;
}
.none {
  padding: 10px 20px;
  border-top: 1px solid var(--line);
  font-size: 13px;
}
aside {
  display: grid;
  gap: 16px;
}
.side {
  padding: 16px 20px;
  display: grid;
  gap: 12px;
}
.searches {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.searches li {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.searches li > div {
  flex: 1;
}
.pi-star {
  color: var(--lamp-deep);
}
.searches small {
  display: block;
  color: var(--quiet);
  font-size: 13px;
}
.good {
  color: var(--good);
}
.bad {
  color: var(--bad);
}
.switch {
  display: flex;
  gap: 10px;
  align-items: center;
}
.line {
  display: flex;
  gap: 12px;
  align-items: center;
}
.small {
  font-size: 13px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>

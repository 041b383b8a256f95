<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { Finding } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import CorrectionProgress from './CorrectionProgress.vue'
import LoadFailure from '../../kit/LoadFailure.vue'
import { useAttempt } from '../../kit/useAttempt'
import { useCollections } from './useCollections'

const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const {
  data: findings,
  error,
  refetch,
  isPending,
} = useQuery({ queryKey: ['health', () => site], queryFn: () => api.health(site), staleTime: 0 })
const { data: collections } = useCollections(() => site)
const labelOf = (key: string) => collections.value?.find(one => one.key === key)?.label ?? key
const only = ref('')
const shown = computed(() => (findings.value ?? []).filter(one => only.value === '' || one.collection === only.value))
interface Group {
  kind: Finding['kind']
  effect: string
  findings: Finding[]
}
const groups = computed(() =>
  shown.value.reduce<Group[]>((groups, one) => {
    const last = groups.at(-1)
    if (last?.kind === one.kind) last.findings.push(one)
    else groups.push({ kind: one.kind, effect: one.effect, findings: [one] })
    return groups
  }, []),
)
const keyOf = (finding: Finding) => `${finding.kind} ${finding.collection} ${finding.what}`
const opened = ref<string | null>(null)
const SHOWN = 40
const { data: told } = useQuery({
  queryKey: ['items', () => site, 'told', opened],
  enabled: computed(() => findings.value?.some(one => keyOf(one) === opened.value && !unknown(one)) ?? false),
  queryFn: () => {
    const finding = findings.value?.find(one => keyOf(one) === opened.value)
    return finding
      ? api.items(
          site,
          finding.collection,
          new URLSearchParams([
            ['perPage', String(SHOWN)],
            ...finding.some.slice(0, SHOWN).map(item => ['id', item.id]),
          ]),
        )
      : null
  },
})

const { busy, wrong, attempt } = useAttempt()
const said = ref('')
const fixing = ref<Finding | null>(null)
/** The first collection in which values are being merged, or could not be. */
const merging = computed(() => collections.value?.find(one => one.correction))
const again = () => queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'sites' })
async function keepOut(finding: Finding) {
  if (
    await attempt(() =>
      api.markSeveral(
        site,
        finding.collection,
        finding.some.map(item => item.id),
        { keptOut: true },
      ),
    )
  ) {
    said.value = `${counted(finding.some.length, 'item')} of ${labelOf(finding.collection)} kept out of search.`
    fixing.value = null
    opened.value = null
    await again()
  }
}
async function merge(finding: Finding, turned: boolean) {
  const { from, into } = finding.merge!
  if (
    await attempt(() => api.merge(site, finding.collection, finding.field!, turned ? into : from, turned ? from : into))
  ) {
    said.value = `“${(turned ? into : from).join(' › ')}” counts as “${(turned ? from : into).join(' › ')}” from now on. You can part them again under Fields.`
    await again()
  }
}
const icons: Record<Finding['kind'], string> = {
  'cannot-be-found': 'pi-ban',
  'no-title': 'pi-minus',
  'same-address': 'pi-clone',
  'same-text': 'pi-clone',
  'dates-past': 'pi-calendar-times',
  'two-spellings': 'pi-language',
  'place-far-off': 'pi-map-marker',
  'thin-text': 'pi-align-left',
  'no-summary': 'pi-align-left',
  'no-image': 'pi-image',
  'no-alternative': 'pi-image',
  'field-nearly-empty': 'pi-stop',
}
const titles: Record<Finding['kind'], string> = {
  'cannot-be-found': 'Found by no search',
  'no-title': 'No title',
  'same-address': 'One address, several items',
  'same-text': 'The same text twice',
  'dates-past': 'Dates that are past',
  'two-spellings': 'One value, two spellings',
  'place-far-off': 'Places far from all others',
  'thin-text': 'Few words',
  'no-summary': 'No summary',
  'no-image': 'No image',
  'no-alternative': 'Images without alternative text',
  'field-nearly-empty': 'Fields that are nearly empty',
}
/** The index does not know these, so it cannot tell their titles; and there is nothing to keep them out of. */
const unknown = (finding: Finding) => finding.kind === 'cannot-be-found'
/** Of these a whole field is concerned, and no item is to blame. */
const ofItems = (finding: Finding) => finding.kind !== 'field-nearly-empty'
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/content`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      Content
    </RouterLink>
    <div class="page-head">
      <div>
        <h1>Health</h1>
        <p class="lead">What is wrong with the content, and what it does to a search. Worst first.</p>
      </div>
      <Select
        v-model="only"
        :options="[{ key: '', label: 'All collections' }, ...(collections ?? [])]"
        option-label="label"
        option-value="key"
        placeholder="All collections"
        aria-label="Of which collection"
      />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <p v-if="wrong" class="remark bad" role="alert">
      <i class="pi pi-exclamation-triangle" aria-hidden="true" />
      {{ wrong }}
    </p>
    <p class="said" role="status">{{ said }}</p>
    <CorrectionProgress v-if="merging" :site="site" :collection="merging" />
    <p v-if="isPending" class="quiet">Looking over every item…</p>
    <p v-else-if="shown.length === 0 && findings" class="slip calm">
      <i class="pi pi-check-circle" aria-hidden="true" />
      Nothing is wrong{{ only ? ` with ${labelOf(only)}` : ' with your content' }}.
    </p>
    <section
      v-for="group in groups"
      v-else
      :key="group.kind"
      class="slip group"
      :aria-labelledby="`group-${group.kind}`"
    >
      <div class="head">
        <i class="pi icon" :class="icons[group.kind]" aria-hidden="true" />
        <div>
          <h2 :id="`group-${group.kind}`">{{ titles[group.kind] }}</h2>
          <p class="quiet">{{ group.effect }}</p>
        </div>
      </div>
      <ul class="findings">
        <li v-for="finding in group.findings" :key="keyOf(finding)">
          <p>
            <b>{{ labelOf(finding.collection) }}</b>
            {{ finding.what }}
          </p>
          <div class="acts">
            <template v-if="finding.merge">
              <Button
                size="small"
                severity="secondary"
                outlined
                :label="`Make it “${finding.merge.into.at(-1)}”`"
                :loading="busy"
                @click="merge(finding, false)"
              />
              <Button
                size="small"
                severity="secondary"
                text
                :label="`Make it “${finding.merge.from.at(-1)}”`"
                @click="merge(finding, true)"
              />
            </template>
            <Button
              v-else-if="ofItems(finding) && !unknown(finding)"
              size="small"
              severity="secondary"
              outlined
              label="Keep out"
              :aria-label="`Keep out of search: ${labelOf(finding.collection)}, ${finding.what}`"
              @click="fixing = finding"
            />
            <Button
              v-if="ofItems(finding)"
              size="small"
              text
              :label="opened === keyOf(finding) ? 'Close' : 'Show'"
              :aria-label="`${opened === keyOf(finding) ? 'Close' : 'Show'} the items: ${labelOf(finding.collection)}, ${finding.what}`"
              :aria-expanded="opened === keyOf(finding)"
              @click="opened = opened === keyOf(finding) ? null : keyOf(finding)"
            />
          </div>
          <ul v-if="opened === keyOf(finding)" class="items">
            <li v-for="item in unknown(finding) ? finding.some.slice(0, SHOWN) : []" :key="item.id">
              <RouterLink :to="{ path: `/${site}/content/${finding.collection}/item`, query: { id: item.id } }">
                {{ item.id }}
              </RouterLink>
            </li>
            <li v-for="item in unknown(finding) ? [] : told?.items" :key="item.id">
              <RouterLink :to="{ path: `/${site}/content/${finding.collection}/item`, query: { id: item.id } }">
                {{ item.title }} </RouterLink>{{ ' ' }}
              <small class="quiet">{{ item.id }}</small>
            </li>
            <li v-if="finding.items > SHOWN" class="quiet">and {{ formatNumber(finding.items - SHOWN) }} more</li>
          </ul>
        </li>
      </ul>
    </section>
    <Dialog
      :visible="fixing !== null"
      modal
      header="Keep out of search"
      :draggable="false"
      :style="{ width: '460px' }"
      @update:visible="fixing = null"
    >
      <template v-if="fixing">
        <p>
          {{ counted(fixing.some.length, 'item') }} of {{ labelOf(fixing.collection) }} will not be found by any search.
          They stay in your content, and you can let them in again.
        </p>
        <p v-if="fixing.items > fixing.some.length" class="quiet">
          These are the first of {{ formatNumber(fixing.items) }}.
        </p>
      </template>
      <template #footer>
        <Button label="Leave them in" severity="secondary" text @click="fixing = null" />
        <Button label="Keep out of search" :loading="busy" @click="keepOut(fixing!)" />
      </template>
    </Dialog>
  </main>
</template>

<style scoped>
.said:empty {
  display: none;
}
.said {
  margin-bottom: 12px;
  padding: 10px 14px;
  border-radius: 8px;
  background: #e6f1ea;
  color: #225c3a;
}
.calm {
  padding: 20px;
}
.calm .pi {
  color: var(--good);
}
.group {
  padding: 14px 20px 6px;
  margin-bottom: 12px;
}
.head {
  display: grid;
  grid-template-columns: 28px 1fr;
  align-items: baseline;
}
.head h2 {
  font-size: 16px;
}
.head p {
  font-size: 13px;
}
.icon {
  color: var(--lamp-deep);
}
.findings {
  list-style: none;
  margin: 8px 0 0 28px;
  padding: 0;
}
.findings > li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 12px;
  align-items: center;
  min-height: 44px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
.findings b {
  display: inline-block;
  min-width: 84px;
  font-weight: 600;
}
.acts {
  display: flex;
  gap: 6px;
  align-items: center;
}
.items {
  grid-column: 1 / -1;
  list-style: none;
  margin: 0 0 6px 88px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 4px 16px;
  font-size: 13.5px;
}
@media (max-width: 760px) {
  .findings > li {
    grid-template-columns: 1fr;
  }
  .items {
    margin-inline-start: 0;
  }
}
</style>

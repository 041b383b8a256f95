<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { Finding } from '../../../shared/contract'
import { counted } from '../../kit/format'
import { api } from '../../ownerApi'
import LoadFailure from '../../kit/LoadFailure.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import CorrectionProgress from './CorrectionProgress.vue'
import { FINDINGS, inGroups } from './findings'
import HealthFinding from './HealthFinding.vue'
import KeepOutDialog from './KeepOutDialog.vue'
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
const groups = computed(() => inGroups(shown.value))

const { busy, wrong, attempt } = useAttempt()
const said = ref('')
const fixing = ref<Finding | null>(null)
/** The first collection in which values are being merged, or could not be. */
const merging = computed(() => collections.value?.find(one => one.correction))
const again = () => queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'sites' })
async function keepOut({ collection, some }: Finding) {
  const ids = some.map(item => item.id)
  if (!(await attempt(() => api.markSeveral(site, collection, ids, { keptOut: true })))) return
  said.value = `${counted(ids.length, 'item')} of ${labelOf(collection)} kept out of search.`
  fixing.value = null
  await again()
}
/** @param turned whether the first spelling is meant and not the second */
async function merge(finding: Finding, turned: boolean) {
  const { from, into } = finding.merge!
  const [goes, stays] = turned ? [into, from] : [from, into]
  if (!(await attempt(() => api.merge(site, finding.collection, finding.field!, goes, stays)))) return
  said.value = `“${goes.join(' › ')}” counts as “${stays.join(' › ')}” from now on. You can part them again under Fields.`
  await again()
}
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
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
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
        <i class="pi icon" :class="FINDINGS[group.kind].icon" aria-hidden="true" />
        <div>
          <h2 :id="`group-${group.kind}`">{{ FINDINGS[group.kind].title }}</h2>
          <p class="quiet">{{ group.effect }}</p>
        </div>
      </div>
      <ul class="findings">
        <HealthFinding
          v-for="finding in group.findings"
          :key="`${finding.kind} ${finding.collection} ${finding.what}`"
          :site="site"
          :finding="finding"
          :collection-label="labelOf(finding.collection)"
          :busy="busy"
          @keep-out="fixing = finding"
          @merge="merge(finding, $event)"
        />
      </ul>
    </section>
    <KeepOutDialog
      v-if="fixing"
      :finding="fixing"
      :collection-label="labelOf(fixing.collection)"
      :busy="busy"
      @keep-out="keepOut(fixing)"
      @close="fixing = null"
    />
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
</style>

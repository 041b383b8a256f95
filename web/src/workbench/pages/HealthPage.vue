<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { Finding } from '../../shared/contract'
import { counted, formatNumber } from '../format'
import { api } from '../ownerApi'
import LoadFailure from '../parts/LoadFailure.vue'
import { useAttempt } from '../useAttempt'

const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { data: findings, error, refetch, isPending } = useQuery({ queryKey: ['health', () => site], queryFn: () => api.health(site), staleTime: 0 })
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const labelOf = (key: string) => collections.value?.find(one => one.key === key)?.label ?? key
const only = ref('')
const shown = computed(() => (findings.value ?? []).filter(one => only.value === '' || one.collection === only.value))
const opened = ref<number | null>(null)
const SHOWN = 40

const { busy, wrong, attempt } = useAttempt()
const said = ref('')
const fixing = ref<Finding | null>(null)
const again = () => queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'sites' })
async function keepOut(finding: Finding) {
  if (await attempt(() => api.markSeveral(site, finding.collection, finding.some.map(item => item.id), { keptOut: true }))) {
    said.value = `${counted(finding.some.length, 'item')} of ${labelOf(finding.collection)} kept out of search.`
    fixing.value = null
    opened.value = null
    await again()
  }
}
async function merge(finding: Finding, turned: boolean) {
  const { from, into } = finding.merge!
  if (await attempt(() => api.merge(site, finding.collection, finding.field!, turned ? into : from, turned ? from : into))) {
    said.value = `“${(turned ? into : from).join(' › ')}” counts as “${(turned ? from : into).join(' › ')}” from now on. You can part them again under Fields.`
    await again()
  }
}
const icons: Record<Finding['kind'], string> = {
  'no-title': 'pi-minus', 'same-address': 'pi-clone', 'same-text': 'pi-clone', 'dates-past': 'pi-calendar-times', 'two-spellings': 'pi-language', 'place-far-off': 'pi-map-marker',
  'thin-text': 'pi-align-left', 'no-summary': 'pi-align-left', 'no-image': 'pi-image', 'no-alternative': 'pi-image', 'field-nearly-empty': 'pi-stop',
}
/** Of these a whole field is concerned, and no item is to blame. */
const ofItems = (finding: Finding) => finding.kind !== 'field-nearly-empty'
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/content`"><i class="pi pi-arrow-left" aria-hidden="true" /> Content</RouterLink>
    <div class="page-head"><div><h1>Health</h1><p class="lead">What is wrong with the content, and what it does to a search. Worst first.</p></div>
      <Select v-model="only" :options="[{ key: '', label: 'All collections' }, ...(collections ?? [])]" option-label="label" option-value="key" aria-label="Of which collection" /></div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <p v-if="wrong" class="remark bad" role="alert"><i class="pi pi-exclamation-triangle" aria-hidden="true" />{{ wrong }}</p>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="isPending" class="quiet">Looking over every item…</p>
    <p v-else-if="shown.length === 0 && findings" class="slip calm"><i class="pi pi-check-circle" aria-hidden="true" /> Nothing is wrong{{ only ? ` with ${labelOf(only)}` : ' with your content' }}.</p>
    <ol v-else class="slip">
      <li v-for="(finding, n) in shown" :key="`${finding.kind} ${finding.collection} ${finding.what}`">
        <i class="pi icon" :class="icons[finding.kind]" aria-hidden="true" />
        <div class="what"><h2>{{ finding.what }}</h2><p class="quiet"><b>{{ labelOf(finding.collection) }}.</b> {{ finding.effect }}</p></div>
        <div class="acts">
          <template v-if="finding.merge">
            <Button size="small" :label="`Make it “${finding.merge.into.at(-1)}”`" :loading="busy" @click="merge(finding, false)" />
            <Button size="small" severity="secondary" outlined :label="`Make it “${finding.merge.from.at(-1)}”`" @click="merge(finding, true)" />
          </template>
          <Button v-else-if="ofItems(finding)" size="small" severity="secondary" outlined :label="finding.items === 1 ? 'Keep it out' : 'Keep them out'" :aria-label="`Keep out of search: ${finding.what}`" @click="fixing = finding" />
          <Button v-if="ofItems(finding)" size="small" text :label="opened === n ? 'Close' : `Show ${finding.items === 1 ? 'it' : 'them'}`" :aria-label="`Show the items: ${finding.what}`" :aria-expanded="opened === n" @click="opened = opened === n ? null : n" />
        </div>
        <ul v-if="opened === n" class="items">
          <li v-for="item in finding.some.slice(0, SHOWN)" :key="item.id"><RouterLink :to="{ path: `/${site}/content/${finding.collection}/item`, query: { id: item.id } }">{{ item.id }}</RouterLink></li>
          <li v-if="finding.items > SHOWN" class="quiet">and {{ formatNumber(finding.items - SHOWN) }} more</li>
        </ul>
      </li>
    </ol>
    <Dialog :visible="fixing !== null" modal header="Keep out of search" :draggable="false" :style="{ width: '460px' }" @update:visible="fixing = null">
      <template v-if="fixing">
        <p>{{ counted(fixing.some.length, 'item') }} of {{ labelOf(fixing.collection) }} will not be found by any search. They stay in your content, and you can let them in again.</p>
        <p v-if="fixing.items > fixing.some.length" class="quiet">These are the first of {{ formatNumber(fixing.items) }}.</p>
      </template>
      <template #footer><Button label="Leave them in" severity="secondary" text @click="fixing = null" /><Button label="Keep out of search" :loading="busy" @click="keepOut(fixing!)" /></template>
    </Dialog>
  </main>
</template>

<style scoped>
.back { display: inline-flex; align-items: center; gap: 6px; margin-bottom: 8px; text-decoration: none; font-weight: 600; }
.said:empty { display: none; }
.said { margin-bottom: 12px; padding: 10px 14px; border-radius: 8px; background: #e6f1ea; color: #225c3a; }
.calm { padding: 20px; }
.calm .pi { color: var(--good); }
ol { list-style: none; margin: 0; padding: 0; }
ol > li { display: grid; grid-template-columns: 32px minmax(0, 1fr) auto; gap: 4px 8px; align-items: center; padding: 12px 20px; border-bottom: 1px solid var(--line); }
ol > li:last-child { border-bottom: 0; }
.icon { color: var(--lamp-deep); }
.what h2 { font-size: 15px; font-family: inherit; font-weight: 600; }
.what p { font-size: 13px; }
.acts { display: flex; gap: 6px; align-items: center; }
.items { grid-column: 2 / -1; list-style: none; margin: 4px 0 6px; padding: 0; display: flex; flex-wrap: wrap; gap: 4px 16px; font-size: 13.5px; }
@media (max-width: 760px) { ol > li { grid-template-columns: 32px 1fr; } .acts { grid-column: 2; flex-wrap: wrap; } }
</style>

<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch'
import { computed } from 'vue'
import type { CollectionShape, SearchSummary } from '../../shared/contract'
import { counted, formatNumber } from '../format'
import type { DraftEditing } from '../useDraft'

const { draft, collections, summary } = defineProps<{ draft: DraftEditing, site: string, collections: readonly CollectionShape[], summary: SearchSummary | null }>()
const searched = computed(() => new Set(draft.design.value?.reach.collections.map(one => one.collection)))
const reached = computed(() => collections.filter(one => searched.value.has(one.key)).reduce((sum, one) => sum + one.items, 0))
const all = computed(() => collections.reduce((sum, one) => sum + one.items, 0))
const remarks = computed(() => (summary?.remarks ?? []).filter(remark => remark.step === 'reach'))
/** Collections that the design names and the site no longer has. */
const gone = computed(() => [...searched.value].filter(key => !collections.some(one => one.key === key)))

function put(key: string, on: boolean) {
  draft.change(`reach.${key}`, design => {
    const wanted = new Set(design.reach.collections.map(one => one.collection))
    if (on) wanted.add(key)
    else wanted.delete(key)
    const order = [...collections.map(one => one.key), ...wanted].filter((one, n, list) => wanted.has(one) && list.indexOf(one) === n)
    return { ...design, reach: { collections: order.map(collection => ({ collection })) } }
  })
}
</script>

<template>
  <h2>What is searched</h2>
  <p class="lead">Visitors find items of these collections. New items join by themselves.</p>
  <p class="sum"><b class="number">{{ formatNumber(reached) }}</b> of {{ counted(all, 'item') }} can be found</p>
  <p v-for="remark in remarks" :key="remark.text" class="remark" role="status"><i class="pi pi-info-circle" aria-hidden="true" />{{ remark.text }}</p>
  <ul>
    <li v-for="one in collections" :key="one.key" class="slip">
      <label :for="`reach-${one.key}`"><b>{{ one.label }}</b><small class="quiet">{{ counted(one.items, 'item') }}</small></label>
      <ToggleSwitch :input-id="`reach-${one.key}`" :model-value="searched.has(one.key)" :aria-label="`Search ${one.label}`" @update:model-value="put(one.key, $event)" />
    </li>
    <li v-for="key in gone" :key="key" class="slip">
      <label :for="`reach-${key}`"><b>{{ key }}</b><small class="quiet">gone from the site</small></label>
      <ToggleSwitch :input-id="`reach-${key}`" :model-value="true" :aria-label="`Search ${key}`" @update:model-value="put(key, $event)" />
    </li>
  </ul>
</template>

<style scoped>
.sum { margin: 16px 0 12px; }
.sum b { font-size: 22px; font-weight: 650; }
ul { list-style: none; margin: 12px 0 0; padding: 0; display: grid; gap: 8px; }
li { display: flex; align-items: center; justify-content: space-between; gap: 12px; padding: 10px 16px; }
label { flex: 1; cursor: pointer; }
label small { display: block; font-size: 13px; }
</style>

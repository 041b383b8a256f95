<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref } from 'vue'
import type { Filter } from '../../shared/contract'
import { wrongWithKey } from '../filters'
import { counted, formatNumber } from '../format'
import { api } from '../ownerApi'

/** Everything about one filter. */
const { search, taken } = defineProps<{
  search: string
  /** Names in addresses that other filters have. */
  taken: readonly string[]
}>()
const filter = defineModel<Filter>({ required: true })
const set = (changed: Partial<Filter>) => { filter.value = { ...filter.value, ...changed } }
const several: { value: Filter['several'], label: string }[] = [{ value: 'any', label: 'One is enough' }, { value: 'all', label: 'All must hold' }]
const orders: { value: Filter['order'], label: string }[] = [{ value: 'name', label: 'By name' }, { value: 'count', label: 'Most items first' }]
const without: { value: Filter['withoutResults'], label: string }[] = [{ value: 'dim', label: 'Greyed' }, { value: 'hide', label: 'Not shown' }]
const { data: values } = useQuery({ queryKey: ['reach', () => search, 'filter-values', () => filter.value.field], queryFn: () => api.filterValues(search, filter.value.field), staleTime: 0 })
const isTree = computed(() => (values.value ?? []).some(value => value.names.length > 1))
const wanted = ref('')
const SHOWN = 200
const found = computed(() => (values.value ?? []).filter(value => value.names.join(' ').toLowerCase().includes(wanted.value.trim().toLowerCase())))
/** Taken off by itself, or with one above it. */
const off = (value: string) => filter.value.except.some(one => value === one || value.startsWith(`${one}/`))
const offWithAbove = (value: string) => filter.value.except.some(one => value.startsWith(`${one}/`))
function turn(value: string) {
  const except = filter.value.except
  set({ except: off(value) ? except.filter(one => one !== value) : [...except.filter(one => !one.startsWith(`${value}/`)), value] })
}
const takenOff = computed(() => (values.value ?? []).filter(value => off(value.value)))
const wrongKey = ref('')
function rename(key: string) {
  wrongKey.value = wrongWithKey(key, taken)
  if (wrongKey.value === '') set({ key })
}
</script>

<template>
  <div class="settings">
    <div class="where">
      <div class="field grow"><label :for="`label-${filter.key}`">Visitors read</label><InputText :id="`label-${filter.key}`" :model-value="filter.label" size="small" maxlength="80" @change="($event.target as HTMLInputElement).value.trim() && set({ label: ($event.target as HTMLInputElement).value.trim() })" /></div>
      <div class="field"><label :for="`key-${filter.key}`">In the address</label><InputText :id="`key-${filter.key}`" :model-value="filter.key" size="small" class="key" @change="rename(($event.target as HTMLInputElement).value.trim())" /></div>
    </div>
    <span v-if="wrongKey" class="wrong" role="alert">{{ wrongKey }}</span>
    <div class="choice"><span class="label">Several ticked</span><SelectButton :model-value="filter.several" :options="several" option-label="label" option-value="value" :allow-empty="false" size="small" aria-label="What several ticks mean" @update:model-value="set({ several: $event })" /></div>
    <div class="choice"><span class="label">Listed</span><SelectButton :model-value="filter.order" :options="orders" option-label="label" option-value="value" :allow-empty="false" size="small" aria-label="Order of the values" @update:model-value="set({ order: $event })" /></div>
    <div class="choice"><span class="label">Without results</span><SelectButton :model-value="filter.withoutResults" :options="without" option-label="label" option-value="value" :allow-empty="false" size="small" aria-label="Values without results" @update:model-value="set({ withoutResults: $event })" /></div>
    <div class="choice"><label class="label" :for="`cut-${filter.key}`">Shown at first</label><InputNumber :input-id="`cut-${filter.key}`" :model-value="filter.cutAfter" :min="1" :max="1000" size="small" class="cut" @update:model-value="$event && set({ cutAfter: $event })" /></div>
    <label v-if="isTree" class="switch" :for="`tree-${filter.key}`">As a tree<ToggleSwitch :input-id="`tree-${filter.key}`" :model-value="filter.tree" @update:model-value="set({ tree: $event })" /></label>
    <label class="switch" :for="`counts-${filter.key}`">Number of items beside each<ToggleSwitch :input-id="`counts-${filter.key}`" :model-value="filter.counts" @update:model-value="set({ counts: $event })" /></label>
    <div class="values">
      <div class="line"><b>Values on the list</b><span class="quiet">{{ takenOff.length === 0 ? 'all of them' : `${counted(takenOff.length, 'value')} taken off` }}</span></div>
      <InputText v-if="(values ?? []).length > 10" v-model="wanted" size="small" type="search" placeholder="Find a value" aria-label="Find a value" />
      <ul aria-label="Values on the list">
        <li v-for="value in found.slice(0, SHOWN)" :key="value.value" :class="{ off: off(value.value) }" :style="{ paddingLeft: `${(value.names.length - 1) * 20}px` }">
          <label><input type="checkbox" :checked="!off(value.value)" :disabled="offWithAbove(value.value)" @change="turn(value.value)">{{ value.names.at(-1) }}</label><span class="number quiet">{{ formatNumber(value.count) }}</span>
        </li>
        <li v-if="found.length > SHOWN" class="quiet">{{ formatNumber(found.length - SHOWN) }} more; find them by name</li>
      </ul>
      <small class="quiet">Taking one off takes off what lies below it. Its items are still found.</small>
    </div>
  </div>
</template>

<style scoped>
.settings { display: grid; gap: 12px; padding: 4px 14px 14px; }
.where { gap: 12px; } .where > .grow { min-width: 150px; } .where input { width: 100%; } .key { max-width: 120px; }
.choice, .switch { display: flex; justify-content: space-between; align-items: center; gap: 12px; }
.switch { font-weight: 600; font-size: 13px; cursor: pointer; }
.cut :deep(input) { width: 72px; }
.values { display: grid; gap: 6px; padding-top: 8px; border-top: 1px solid var(--line); }
.values .line { justify-content: space-between; }
.values ul { list-style: none; margin: 0; padding: 0; max-height: 260px; overflow-y: auto; }
.values li { display: flex; justify-content: space-between; align-items: center; gap: 8px; min-height: 30px; }
.values li label { display: flex; align-items: center; gap: 8px; overflow-wrap: anywhere; cursor: pointer; }
.values li input { width: 16px; height: 16px; margin: 0; accent-color: var(--sea); }
.values .off label { text-decoration: line-through; color: var(--quiet); }
</style>

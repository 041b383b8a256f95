<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, nextTick, ref } from 'vue'
import type { CountedValue, Filter } from '../../shared/contract'
import { counted, formatNumber } from '../format'
import { api } from '../ownerApi'

/** Which of a category field's values a filter has on its list, in which order, and what visitors read for each. */
const { search } = defineProps<{ search: string }>()
const filter = defineModel<Filter>({ required: true })
const set = (changed: Partial<Filter>) => { filter.value = { ...filter.value, ...changed } }
const SHOWN = 200
const { data } = useQuery({ queryKey: ['reach', () => search, 'filter-values', () => filter.value.field], queryFn: () => api.filterValues(search, filter.value.field), staleTime: 0 })
const values = computed(() => data.value ?? [])
const isTree = computed(() => values.value.some(value => value.names.length > 1))
const wanted = ref('')
const found = computed(() => values.value.filter(value => value.names.join(' ').toLowerCase().includes(wanted.value.trim().toLowerCase())))
const modes = [{ value: false, label: 'All but some' }, { value: true, label: 'Hand-picked' }]
const isPicked = computed(() => filter.value.picked !== null)
/** Taken off by itself, or with one above it. */
const off = (value: string) => filter.value.except.some(one => value === one || value.startsWith(`${one}/`))
const offWithAbove = (value: string) => filter.value.except.some(one => value.startsWith(`${one}/`))
const isOn = (value: string) => filter.value.picked?.includes(value) ?? !off(value)
function turn(value: string) {
  const { picked, except } = filter.value
  if (picked) set({ picked: picked.includes(value) ? picked.filter(one => one !== value) : [...picked, value] })
  else set({ except: off(value) ? except.filter(one => one !== value) : [...except.filter(one => !one.startsWith(`${value}/`)), value] })
}
/** Everything that is found at once, on or off. */
function turnFound(on: boolean) {
  const keys = found.value.map(value => value.value)
  const { picked, except } = filter.value
  if (picked) set({ picked: on ? [...new Set([...picked, ...keys])] : picked.filter(one => !keys.includes(one)) })
  else set({ except: on ? except.filter(one => !keys.includes(one)) : [...new Set([...except, ...keys])] })
}
const takenOff = computed(() => values.value.filter(value => off(value.value)))
const summary = computed(() => (filter.value.picked ? counted(filter.value.picked.length, 'value') : takenOff.value.length === 0 ? 'all of them' : `${counted(takenOff.value.length, 'value')} taken off`))
function nameOf(key: string): string {
  const known = values.value.find(value => value.value === key)
  const name = filter.value.labels[key] ?? known?.names.join(' › ') ?? key
  return known || !data.value ? name : `${name} (no item has it)`
}
function move(at: number, by: number) {
  const picked = [...(filter.value.picked ?? [])]
  const [one] = picked.splice(at, 1)
  if (one !== undefined) picked.splice(at + by, 0, one)
  set({ picked })
}
/** The value whose label is being written. */
const labelling = ref<string | null>(null)
async function label(value: CountedValue) {
  labelling.value = value.value
  await nextTick()
  document.getElementById('value-label')?.focus()
}
function labelled(value: CountedValue, text: string) {
  const { [value.value]: before, ...others } = filter.value.labels
  labelling.value = null
  if (text === '' || text === value.names.at(-1)) {
    if (before !== undefined) set({ labels: others })
  } else if (text !== before) set({ labels: { ...others, [value.value]: text } })
}
</script>

<template>
  <div class="values">
    <div class="line"><b>Values on the list</b><span class="quiet">{{ summary }}</span></div>
    <SelectButton :model-value="isPicked" :options="modes" option-label="label" option-value="value" :allow-empty="false" size="small" aria-label="Which values are on the list" @update:model-value="set({ picked: $event ? [] : null })" />
    <label v-if="isTree && !isPicked" class="line tree" :for="`tree-${filter.key}`">As a tree<ToggleSwitch :input-id="`tree-${filter.key}`" :model-value="filter.tree" @update:model-value="set({ tree: $event })" /></label>
    <ol v-if="filter.picked && filter.picked.length > 0" class="picked" aria-label="Picked, in this order">
      <li v-for="(key, at) in filter.picked" :key="key">
        <span>{{ nameOf(key) }}</span>
        <Button icon="pi pi-arrow-up" text rounded size="small" severity="secondary" :disabled="at === 0" :aria-label="`Move ${nameOf(key)} up`" @click="move(at, -1)" />
        <Button icon="pi pi-arrow-down" text rounded size="small" severity="secondary" :disabled="at === filter.picked.length - 1" :aria-label="`Move ${nameOf(key)} down`" @click="move(at, 1)" />
        <Button icon="pi pi-times" text rounded size="small" severity="secondary" :aria-label="`Take ${nameOf(key)} off`" @click="turn(key)" />
      </li>
    </ol>
    <div v-if="values.length > 10" class="line"><InputText v-model="wanted" size="small" type="search" class="grow" placeholder="Find a value" aria-label="Find a value" />
      <template v-if="wanted.trim()"><Button label="All on" size="small" text severity="secondary" @click="turnFound(true)" /><Button label="All off" size="small" text severity="secondary" @click="turnFound(false)" /></template></div>
    <ul aria-label="Values on the list">
      <li v-for="value in found.slice(0, SHOWN)" :key="value.value" :class="{ off: !isPicked && off(value.value) }" :style="{ paddingLeft: `${(value.names.length - 1) * 20}px` }">
        <label><input type="checkbox" :checked="isOn(value.value)" :disabled="!isPicked && offWithAbove(value.value)" @change="turn(value.value)">{{ value.names.at(-1) }}</label>
        <InputText v-if="labelling === value.value" id="value-label" size="small" maxlength="80" :default-value="filter.labels[value.value] ?? value.names.at(-1)" :aria-label="`What visitors read for ${value.names.at(-1)}`" @keydown.enter.prevent="($event.target as HTMLInputElement).blur()" @blur="labelled(value, ($event.target as HTMLInputElement).value.trim())" />
        <template v-else><em v-if="filter.labels[value.value]" class="quiet">“{{ filter.labels[value.value] }}”</em><Button icon="pi pi-pencil" text rounded size="small" severity="secondary" :aria-label="`What visitors read for ${value.names.at(-1)}`" @click="label(value)" /></template>
        <span class="number quiet">{{ formatNumber(value.count) }}</span>
      </li>
      <li v-if="found.length > SHOWN" class="quiet">{{ formatNumber(found.length - SHOWN) }} more; find them by name</li>
    </ul>
    <small class="quiet">{{ isPicked ? 'A picked value stands for all that lies below it. New values stay away.' : 'Taking one off takes off what lies below it. Its items are still found.' }}</small>
  </div>
</template>

<style scoped>
.values { display: grid; gap: 8px; padding-top: 8px; border-top: 1px solid var(--line); }
.line { justify-content: space-between; }
.tree { display: flex; align-items: center; font-weight: 600; font-size: 13px; cursor: pointer; }
ul, ol { list-style: none; margin: 0; padding: 0; max-height: 260px; overflow-y: auto; }
.picked { border: 1px solid var(--line); border-radius: 8px; padding: 2px 4px 2px 10px; }
li { display: flex; align-items: center; gap: 6px; min-height: 32px; }
li label, .picked span { flex: 1; min-width: 0; display: flex; align-items: center; gap: 8px; overflow-wrap: anywhere; }
li label { cursor: pointer; }
li input[type="checkbox"] { width: 16px; height: 16px; margin: 0; accent-color: var(--sea); }
li :deep(.p-button) { width: 28px; height: 28px; padding: 0; flex: none; }
li :deep(.p-inputtext) { width: 150px; }
li .number { min-width: 34px; text-align: end; }
.off label { text-decoration: line-through; color: var(--quiet); }
</style>

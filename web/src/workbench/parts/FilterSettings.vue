<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref } from 'vue'
import type { FieldKind, Filter } from '../../shared/contract'
import { CONTROL_NAMES, stepsFrom, type Control, wrongWithKey } from '../filters'
import FilterValues from './FilterValues.vue'

/** Everything about one filter. */
const { search, others, kind, fitting } = defineProps<{
  search: string
  /** The other filters of the search. */
  others: readonly Filter[]
  /** Of its field. */
  kind: FieldKind
  /** Controls for that kind, the usual one first; none while no item has a value. */
  fitting: readonly Control[]
}>()
const filter = defineModel<Filter>({ required: true })
const set = (changed: Partial<Filter>) => { filter.value = { ...filter.value, ...changed } }
const several: { value: Filter['several'], label: string }[] = [{ value: 'any', label: 'One is enough' }, { value: 'all', label: 'All must hold' }]
const orders: { value: Filter['order'], label: string }[] = [{ value: 'name', label: 'By name' }, { value: 'name-down', label: 'By name, last first' }, { value: 'number', label: 'By the number in the name' }, { value: 'count', label: 'Most items first' }]
const devices: { value: Filter['devices'], label: string }[] = [{ value: 'all', label: 'Everywhere' }, { value: 'wide', label: 'Beside results' }, { value: 'narrow', label: 'On phones' }]
/** None is an empty value here: a Select takes null for nothing chosen. */
const afters = computed(() => [{ value: '', label: 'Always' }, ...others.map(one => ({ value: one.key, label: `Once ${one.label} is set` }))])
const without: { value: Filter['withoutResults'], label: string }[] = [{ value: 'dim', label: 'Greyed' }, { value: 'hide', label: 'Not shown' }]
const controls = computed(() => fitting.map(value => ({ value, label: CONTROL_NAMES[value] })))
const control = computed<Control | null>(() => (controls.value.some(one => one.value === filter.value.control) ? filter.value.control : controls.value[0]?.value ?? filter.value.control))
const isOne = (...some: (Control | null)[]) => some.includes(control.value)
/** Values stand one below the other or side by side, each with its number. */
const hasValues = computed(() => !isOne('range', 'at-least', 'at-most', 'span', 'box', null))
const wrongKey = ref('')
function rename(key: string) {
  wrongKey.value = wrongWithKey(key, others.map(one => one.key))
  if (wrongKey.value === '') set({ key })
}
const wrongSteps = ref('')
function step(text: string) {
  const bands = stepsFrom(text)
  wrongSteps.value = bands === null ? 'Numbers that go up, a space between them: 10 20 50' : ''
  if (bands) set({ bands })
}
const text = (event: Event) => (event.target as HTMLInputElement).value.trim()
</script>

<template>
  <div class="settings">
    <div class="where">
      <div class="field grow"><label :for="`label-${filter.key}`">Visitors read</label><InputText :id="`label-${filter.key}`" :model-value="filter.label" size="small" maxlength="80" @change="text($event) && set({ label: text($event) })" /></div>
      <div class="field"><label :for="`key-${filter.key}`">In the address</label><InputText :id="`key-${filter.key}`" :model-value="filter.key" size="small" class="key" @change="rename(text($event))" /></div>
    </div>
    <span v-if="wrongKey" class="wrong" role="alert">{{ wrongKey }}</span>
    <div class="field"><label :for="`help-${filter.key}`">A line of help below it</label><InputText :id="`help-${filter.key}`" :model-value="filter.help" size="small" maxlength="200" @change="set({ help: text($event) })" /></div>
    <div v-if="controls.length > 1" class="choice"><label :id="`control-of-${filter.key}`" class="label" :for="`control-${filter.key}`">Handled with</label><Select :input-id="`control-${filter.key}`" :aria-labelledby="`control-of-${filter.key}`" :model-value="control" :options="controls" option-label="label" option-value="value" size="small" class="chosen" @update:model-value="set({ control: $event })" /></div>
    <div v-if="isOne('range', 'bands', 'at-least', 'at-most')" class="choice"><label class="label" :for="`unit-${filter.key}`">Behind the numbers</label><InputText :id="`unit-${filter.key}`" :model-value="filter.unit" size="small" maxlength="12" class="unit" placeholder="EUR, km, min" @change="set({ unit: text($event) })" /></div>
    <div v-if="isOne('bands')" class="field"><label :for="`steps-${filter.key}`">Steps end at</label><InputText :id="`steps-${filter.key}`" :model-value="filter.bands.join('  ')" size="small" placeholder="round numbers that fit" :aria-invalid="wrongSteps !== ''" @change="step(text($event))" /><span v-if="wrongSteps" class="wrong" role="alert">{{ wrongSteps }}</span></div>
    <div v-if="isOne('one-of', 'menu')" class="choice"><label class="label" :for="`neutral-${filter.key}`">For none of them</label><InputText :id="`neutral-${filter.key}`" :model-value="filter.neutral" size="small" maxlength="40" class="unit" placeholder="Any" @change="set({ neutral: text($event) })" /></div>
    <div v-if="isOne('list', 'chips')" class="choice"><span class="label">Several ticked</span><SelectButton :model-value="filter.several" :options="several" option-label="label" option-value="value" :allow-empty="false" size="small" aria-label="What several ticks mean" @update:model-value="set({ several: $event })" /></div>
    <div v-if="kind === 'category' && filter.picked === null" class="choice"><label :id="`order-of-${filter.key}`" class="label" :for="`order-${filter.key}`">Listed</label><Select :input-id="`order-${filter.key}`" :aria-labelledby="`order-of-${filter.key}`" :model-value="filter.order" :options="orders" option-label="label" option-value="value" size="small" class="chosen" @update:model-value="set({ order: $event })" /></div>
    <div v-if="isOne('list', 'one-of', 'menu', 'chips', 'bands', 'months')" class="choice"><span class="label">Without results</span><SelectButton :model-value="filter.withoutResults" :options="without" option-label="label" option-value="value" :allow-empty="false" size="small" aria-label="Values without results" @update:model-value="set({ withoutResults: $event })" /></div>
    <div v-if="isOne('list', 'one-of', 'chips', 'months')" class="choice"><label class="label" :for="`cut-${filter.key}`">Shown at first</label><InputNumber :input-id="`cut-${filter.key}`" :model-value="filter.cutAfter" :min="1" :max="1000" size="small" class="cut" @update:model-value="$event && set({ cutAfter: $event })" /></div>
    <label v-if="hasValues" class="switch" :for="`counts-${filter.key}`">Number of items beside each<ToggleSwitch :input-id="`counts-${filter.key}`" :model-value="filter.counts" @update:model-value="set({ counts: $event })" /></label>
    <label class="switch" :for="`folded-${filter.key}`">Only the label at first<ToggleSwitch :input-id="`folded-${filter.key}`" :model-value="filter.folded" @update:model-value="set({ folded: $event })" /></label>
    <div class="choice"><span class="label">Shown</span><SelectButton :model-value="filter.devices" :options="devices" option-label="label" option-value="value" :allow-empty="false" size="small" aria-label="Where it is shown" @update:model-value="set({ devices: $event })" /></div>
    <div v-if="others.length > 0" class="choice"><label :id="`after-of-${filter.key}`" class="label" :for="`after-${filter.key}`">When</label><Select :input-id="`after-${filter.key}`" :aria-labelledby="`after-of-${filter.key}`" :model-value="filter.after ?? ''" :options="afters" option-label="label" option-value="value" size="small" class="chosen" @update:model-value="set({ after: $event === '' ? null : $event })" /></div>
    <FilterValues v-if="kind === 'category'" v-model="filter" :search="search" />
  </div>
</template>

<style scoped>
.settings { display: grid; gap: 12px; padding: 4px 14px 14px; }
.where { gap: 12px; } .where > .grow { min-width: 150px; } .where input { width: 100%; } .key { max-width: 120px; }
.choice { display: flex; justify-content: space-between; align-items: center; gap: 12px; }
.chosen { width: 220px; } .unit { width: 130px; }
.cut :deep(input) { width: 72px; }
.switch { display: flex; justify-content: space-between; align-items: center; gap: 12px; font-weight: 600; font-size: 13px; cursor: pointer; }
</style>

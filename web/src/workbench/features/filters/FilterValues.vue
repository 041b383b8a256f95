<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, nextTick, ref } from 'vue'
import type { CountedValue, Filter } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'

/** Which of a category field's values a filter has on its list, in which order, and what visitors read for each. */
const { search, pictures = false } = defineProps<{
  search: string
  /** Whether each value has a colour or a picture. */
  pictures?: boolean
}>()
const filter = defineModel<Filter>({ required: true })
const set = (changed: Partial<Filter>) => {
  filter.value = { ...filter.value, ...changed }
}
const setRules = (changed: Partial<Filter['values']>) => set({ values: { ...filter.value.values, ...changed } })
const SHOWN = 200
const { data } = useQuery({
  queryKey: ['reach', () => search, 'filter-values', () => filter.value.field],
  queryFn: () => api.filterValues(search, filter.value.field),
  staleTime: 0,
})
const values = computed(() => data.value ?? [])
const levels = computed(() => Math.max(0, ...values.value.map(value => value.names.length)))
const isTree = computed(() => levels.value > 1)
const depths = computed(() => [
  { value: 0, label: 'All levels' },
  ...Array.from({ length: levels.value - 1 }, (_, n) => ({
    value: n + 1,
    label: n === 0 ? 'The first level' : `${n + 1} levels`,
  })),
])
const wanted = ref('')
const found = computed(() =>
  values.value.filter(value => value.names.join(' ').toLowerCase().includes(wanted.value.trim().toLowerCase())),
)
const modes = [
  { value: false, label: 'All but some' },
  { value: true, label: 'Hand-picked' },
]
const isPicked = computed(() => filter.value.picked !== null)
/** Taken off by itself, or with one above it. */
const off = (value: string) => filter.value.except.some(one => value === one || value.startsWith(`${one}/`))
const offWithAbove = (value: string) => filter.value.except.some(one => value.startsWith(`${one}/`))
const isOn = (value: string) => filter.value.picked?.includes(value) ?? !off(value)
function turn(value: string) {
  const { picked, except } = filter.value
  if (picked) set({ picked: picked.includes(value) ? picked.filter(one => one !== value) : [...picked, value] })
  else
    set({
      except: off(value)
        ? except.filter(one => one !== value)
        : [...except.filter(one => !one.startsWith(`${value}/`)), value],
    })
}
/** Everything that is found at once, on or off. */
function turnFound(on: boolean) {
  const keys = found.value.map(value => value.value)
  const { picked, except } = filter.value
  if (picked) set({ picked: on ? [...new Set([...picked, ...keys])] : picked.filter(one => !keys.includes(one)) })
  else set({ except: on ? except.filter(one => !keys.includes(one)) : [...new Set([...except, ...keys])] })
}
const takenOff = computed(() => values.value.filter(value => off(value.value)))
const summary = computed(() =>
  filter.value.picked
    ? counted(filter.value.picked.length, 'value')
    : takenOff.value.length === 0
      ? 'all of them'
      : `${counted(takenOff.value.length, 'value')} taken off`,
)
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
/** The value that is about to count as another one. */
const merging = ref<string | null>(null)
/** A value cannot count as itself, as one below it, or as one that counts as another. */
const targets = computed(() =>
  values.value
    .filter(
      value =>
        merging.value !== null &&
        value.value !== merging.value &&
        !value.value.startsWith(`${merging.value}/`) &&
        !Object.keys(filter.value.values.merged).some(
          gone => value.value === gone || value.value.startsWith(`${gone}/`),
        ),
    )
    .map(value => ({ value: value.value, label: value.names.join(' › ') })),
)
const countsAs = (value: string) => filter.value.values.merged[value]
function merge(value: string, target: string | null) {
  const { [value]: _before, ...others } = filter.value.values.merged
  merging.value = null
  // What counted as it counts as the other one from now on.
  const passed = Object.fromEntries(
    Object.entries(others).map(([from, to]) => [
      from,
      target !== null && (to === value || to.startsWith(`${value}/`)) ? target : to,
    ]),
  )
  setRules({ merged: target === null ? others : { ...passed, [value]: target } })
}
const wrongPicture = ref<string | null>(null)
function picture(value: string, text: string) {
  const { [value]: _before, ...others } = filter.value.values.pictures
  wrongPicture.value = text === '' || /^#[0-9a-f]{6}$/i.test(text) || /^(\/|https?:\/\/)\S*$/.test(text) ? null : value
  if (wrongPicture.value === null) setRules({ pictures: text === '' ? others : { ...others, [value]: text } })
}
const pictureOf = (value: string) => filter.value.values.pictures[value] ?? ''
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
    <div class="line">
      <b>Values on the list</b>
      <span class="quiet">{{ summary }}</span>
    </div>
    <SelectButton
      :model-value="isPicked"
      :options="modes"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-label="Which values are on the list"
      @update:model-value="set({ picked: $event ? [] : null })"
    />
    <label v-if="isTree && !isPicked" class="line tree" :for="`tree-${filter.key}`">
      As a tree
      <ToggleSwitch
        :input-id="`tree-${filter.key}`"
        :model-value="filter.tree"
        @update:model-value="set({ tree: $event })"
      />
    </label>
    <div v-if="isTree && !isPicked" class="line">
      <span :id="`depth-of-${filter.key}`" class="label">Down to</span>
      <Select
        :aria-labelledby="`depth-of-${filter.key}`"
        :model-value="Math.min(filter.values.depth, levels)"
        :options="depths"
        option-label="label"
        option-value="value"
        size="small"
        @update:model-value="setRules({ depth: $event })"
      />
    </div>
    <label v-if="isTree && isPicked" class="line tree" :for="`below-${filter.key}`">
      With what lies below
      <ToggleSwitch
        :input-id="`below-${filter.key}`"
        :model-value="filter.values.withBelow"
        @update:model-value="setRules({ withBelow: $event })"
      />
    </label>
    <ol v-if="filter.picked && filter.picked.length > 0" class="picked" aria-label="Picked, in this order">
      <li v-for="(key, at) in filter.picked" :key="key">
        <span>{{ nameOf(key) }}</span>
        <Button
          icon="pi pi-arrow-up"
          text
          rounded
          size="small"
          severity="secondary"
          :disabled="at === 0"
          :aria-label="`Move ${nameOf(key)} up`"
          @click="move(at, -1)"
        />
        <Button
          icon="pi pi-arrow-down"
          text
          rounded
          size="small"
          severity="secondary"
          :disabled="at === filter.picked.length - 1"
          :aria-label="`Move ${nameOf(key)} down`"
          @click="move(at, 1)"
        />
        <Button
          icon="pi pi-times"
          text
          rounded
          size="small"
          severity="secondary"
          :aria-label="`Take ${nameOf(key)} off`"
          @click="turn(key)"
        />
      </li>
    </ol>
    <div v-if="values.length > 10" class="line">
      <InputText
        v-model="wanted"
        size="small"
        type="search"
        class="grow"
        placeholder="Find a value"
        aria-label="Find a value"
      />
      <template v-if="wanted.trim()">
        <Button label="All on" size="small" text severity="secondary" @click="turnFound(true)" />
        <Button label="All off" size="small" text severity="secondary" @click="turnFound(false)" />
      </template>
    </div>
    <ul aria-label="Values on the list">
      <li
        v-for="value in found.slice(0, SHOWN)"
        :key="value.value"
        :class="{ off: (!isPicked && off(value.value)) || countsAs(value.value) }"
        :style="{ paddingLeft: `${(value.names.length - 1) * 20}px` }"
      >
        <label>
          <input
            type="checkbox"
            :checked="isOn(value.value)"
            :disabled="(!isPicked && offWithAbove(value.value)) || countsAs(value.value) !== undefined"
            @change="turn(value.value)"
          />
          {{ value.names.at(-1) }}
        </label>
        <InputText
          v-if="labelling === value.value"
          id="value-label"
          size="small"
          maxlength="80"
          :default-value="filter.labels[value.value] ?? value.names.at(-1)"
          :aria-label="`What visitors read for ${value.names.at(-1)}`"
          @keydown.enter.prevent="($event.target as HTMLInputElement).blur()"
          @blur="labelled(value, ($event.target as HTMLInputElement).value.trim())"
        />
        <Select
          v-else-if="merging === value.value"
          :model-value="''"
          :options="targets"
          option-label="label"
          option-value="value"
          filter
          size="small"
          class="target"
          :aria-label="`What ${value.names.at(-1)} counts as`"
          placeholder="Counts as…"
          @update:model-value="merge(value.value, $event)"
          @hide="merging = null"
        />
        <template v-else-if="countsAs(value.value)">
          <em class="quiet">counts as {{ nameOf(countsAs(value.value)!) }}</em>
          <Button
            icon="pi pi-times"
            text
            rounded
            size="small"
            severity="secondary"
            :aria-label="`Let ${value.names.at(-1)} be itself again`"
            @click="merge(value.value, null)"
          />
        </template>
        <template v-else>
          <em v-if="filter.labels[value.value]" class="quiet">“{{ filter.labels[value.value] }}”</em>
          <Button
            icon="pi pi-pencil"
            text
            rounded
            size="small"
            severity="secondary"
            :aria-label="`What visitors read for ${value.names.at(-1)}`"
            @click="label(value)"
          />
          <Button
            icon="pi pi-link"
            text
            rounded
            size="small"
            severity="secondary"
            :aria-label="`Let ${value.names.at(-1)} count as another value`"
            title="Count as another value"
            @click="merging = value.value"
          />
        </template>
        <span v-if="pictures" class="picture">
          <span
            class="swatch"
            :style="pictureOf(value.value).startsWith('#') ? { background: pictureOf(value.value) } : {}"
            aria-hidden="true"
          />
          <InputText
            :model-value="pictureOf(value.value)"
            size="small"
            placeholder="#0e5f63 or /picture"
            :aria-label="`Colour or picture for ${value.names.at(-1)}`"
            :invalid="wrongPicture === value.value"
            @change="picture(value.value, ($event.target as HTMLInputElement).value.trim())"
          />
        </span>
        <span class="number quiet">{{ formatNumber(value.count) }}</span>
      </li>
      <li v-if="found.length > SHOWN" class="quiet">
        {{ formatNumber(found.length - SHOWN) }} more; find them by name
      </li>
    </ul>
    <details v-if="!isPicked && takenOff.length > 0" class="gone">
      <summary>{{ counted(takenOff.length, 'value') }} taken off</summary>
      <ul>
        <li v-for="value in takenOff" :key="value.value">
          <span>{{ value.names.join(' › ') }}</span>
          <span class="number quiet">{{ formatNumber(value.count) }}</span>
        </li>
      </ul>
    </details>
    <span v-if="wrongPicture" class="wrong" role="alert">
      Write a colour such as #0e5f63, or an address that starts with / or https://.
    </span>
    <small class="quiet">
      {{
        isPicked
          ? filter.values.withBelow || !isTree
            ? 'A picked value stands for all that lies below it. New values stay away.'
            : 'A picked value stands for the items that name it itself. New values stay away.'
          : 'Taking one off takes off what lies below it. Its items are still found.'
      }}
    </small>
  </div>
</template>

<style scoped>
.values {
  display: grid;
  gap: 8px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
.line {
  justify-content: space-between;
}
.tree {
  display: flex;
  align-items: center;
  font-weight: 600;
  font-size: 13px;
  cursor: pointer;
}
ul,
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 260px;
  overflow-y: auto;
}
.picked {
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 2px 4px 2px 10px;
}
li {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 32px;
}
li label,
.picked span {
  flex: 1;
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 8px;
  overflow-wrap: anywhere;
}
li label {
  cursor: pointer;
}
li input[type='checkbox'] {
  width: 16px;
  height: 16px;
  margin: 0;
  accent-color: var(--sea);
}
li :deep(.p-button) {
  width: 28px;
  height: 28px;
  padding: 0;
  flex: none;
}
li :deep(.p-inputtext) {
  width: 150px;
}
li .number {
  min-width: 34px;
  text-align: end;
}
.target {
  width: 150px;
}
.picture {
  display: flex;
  align-items: center;
  gap: 6px;
}
.picture :deep(.p-inputtext) {
  width: 112px;
}
.swatch {
  width: 20px;
  height: 20px;
  border-radius: 10px;
  border: 1px solid var(--edge);
  flex: none;
}
.gone summary {
  cursor: pointer;
  font-weight: 600;
  font-size: 13px;
}
.gone li span:first-child {
  flex: 1;
}
.off label {
  text-decoration: line-through;
  color: var(--quiet);
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, inject, ref } from 'vue'
import type { CollectionShape, FieldKind, Filter } from '../../../shared/contract'
import { CONTROL_NAMES, stepsFrom, type Control, wrongWithKey } from './filters'
import { STAGE } from '../stage/stageAccess'
import FilterValues from './FilterValues.vue'

/** Everything about one filter. */
const { search, others, taken, kind, fitting, collections, joinWith, kindOf } = defineProps<{
  search: string
  /** The other filters of the search that visitors meet. */
  others: readonly Filter[]
  /** Names in addresses that others have. */
  taken: readonly string[]
  /** Of its field. */
  kind: FieldKind
  /** Controls for that kind, the usual one first; none while no item has a value. */
  fitting: readonly Control[]
  /** Those that are searched. */
  collections: readonly CollectionShape[]
  /** Filters that it can be joined with; none for a part of a joint one. */
  joinWith: readonly Filter[]
  kindOf: (filter: Filter) => FieldKind
}>()
const emit = defineEmits<{ join: [other: string]; apart: [] }>()
const stage = inject(STAGE)!
const filter = defineModel<Filter>({ required: true })
const set = (changed: Partial<Filter>) => {
  filter.value = { ...filter.value, ...changed }
}
const several: { value: Filter['several']; label: string }[] = [
  { value: 'any', label: 'One is enough' },
  { value: 'all', label: 'All must hold' },
]
const orders: { value: Filter['order']; label: string }[] = [
  { value: 'name', label: 'By name' },
  { value: 'name-down', label: 'By name, last first' },
  { value: 'number', label: 'By the number in the name' },
  { value: 'count', label: 'Most items first' },
]
const devices: { value: Filter['devices']; label: string }[] = [
  { value: 'all', label: 'Everywhere' },
  { value: 'wide', label: 'Wide' },
  { value: 'narrow', label: 'Phones' },
]
/** A Select takes null, and an empty value too, for nothing chosen; no filter can have this name. */
const ALWAYS = '*'
const afters = computed(() => [
  { value: ALWAYS, label: 'Always' },
  ...others.map(one => ({ value: one.key, label: `Once ${one.label} is set` })),
])
const without: { value: Filter['withoutResults']; label: string }[] = [
  { value: 'dim', label: 'Greyed' },
  { value: 'hide', label: 'Not shown' },
  { value: 'found', label: 'Only of what is found' },
]
/** Steps and months have a fixed row of values, of which none comes from the items found. */
const withoutFor = computed(() => (kind === 'category' ? without : without.slice(0, 2)))
const pages: { value: Filter['shown']['page']; label: string }[] = [
  { value: 'side', label: 'Beside' },
  { value: 'top', label: 'Above' },
  { value: 'nowhere', label: 'No' },
]
const headings = [
  { value: true, label: 'Under a heading each' },
  { value: false, label: 'In one list' },
]
const units = [
  { value: 'km', label: 'Kilometres' },
  { value: 'mi', label: 'Miles' },
]
const setShown = (changed: Partial<Filter['shown']>) => set({ shown: { ...filter.value.shown, ...changed } })
const setJoined = (changed: Partial<NonNullable<Filter['joined']>>) =>
  filter.value.joined && set({ joined: { ...filter.value.joined, ...changed } })
const joinable = computed(() => joinWith.map(other => ({ value: other.key, label: other.label })))
/** The part whose values are being chosen. */
const openPart = ref<string | null>(null)
const start = computed(() =>
  filter.value.start.all ? 'all' : filter.value.start.chosen.length > 0 ? 'chosen' : 'nothing',
)
const starts = computed(() => [
  { value: 'nothing', label: 'Nothing' },
  ...(kind === 'category' && isOne('list', 'chips', 'pictures') ? [{ value: 'all', label: 'All ticked' }] : []),
  { value: 'chosen', label: 'What is set on the stage' },
])
const nothingOnStage = ref(false)
function begin(with_: string) {
  const chosen = with_ === 'chosen' ? (stage.set()[filter.value.key] ?? []).filter(value => value !== '') : []
  nothingOnStage.value = with_ === 'chosen' && chosen.length === 0
  if (!nothingOnStage.value) set({ start: { all: with_ === 'all', chosen } })
}
const wrongRadii = ref('')
function reach(text: string) {
  const radii = stepsFrom(text)
  wrongRadii.value =
    radii === null || radii.length === 0 || radii[0]! <= 0 ? 'Distances that go up, a space between them: 1 5 20' : ''
  if (radii && wrongRadii.value === '') set({ radii })
}
const controls = computed(() => fitting.map(value => ({ value, label: CONTROL_NAMES[value] })))
const control = computed<Control | null>(() =>
  controls.value.some(one => one.value === filter.value.control)
    ? filter.value.control
    : (controls.value[0]?.value ?? filter.value.control),
)
const isOne = (...some: (Control | null)[]) => some.includes(control.value)
/** Values stand one below the other or side by side, each with its number. */
const hasValues = computed(() => !isOne('range', 'at-least', 'at-most', 'span', 'box', null))
const wrongKey = ref('')
function rename(key: string) {
  wrongKey.value = wrongWithKey(key, taken)
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
      <div class="field grow">
        <label :for="`label-${filter.key}`">Visitors read</label>
        <InputText
          :id="`label-${filter.key}`"
          :model-value="filter.label"
          size="small"
          maxlength="80"
          @change="text($event) && set({ label: text($event) })"
        />
      </div>
      <div class="field">
        <label :for="`key-${filter.key}`">In the address</label>
        <InputText
          :id="`key-${filter.key}`"
          :model-value="filter.key"
          size="small"
          class="key"
          @change="rename(text($event))"
        />
      </div>
    </div>
    <span v-if="wrongKey" class="wrong" role="alert">{{ wrongKey }}</span>
    <div class="field">
      <label :for="`help-${filter.key}`">A line of help below it</label>
      <InputText
        :id="`help-${filter.key}`"
        :model-value="filter.help"
        size="small"
        maxlength="200"
        @change="set({ help: text($event) })"
      />
    </div>
    <div v-if="controls.length > 1" class="choice">
      <label :id="`control-of-${filter.key}`" class="label" :for="`control-${filter.key}`">Handled with</label>
      <Select
        :input-id="`control-${filter.key}`"
        :aria-labelledby="`control-of-${filter.key}`"
        :model-value="control"
        :options="controls"
        option-label="label"
        option-value="value"
        size="small"
        class="chosen"
        @update:model-value="set({ control: $event })"
      />
    </div>
    <div v-if="isOne('range', 'bands', 'at-least', 'at-most')" class="choice">
      <label class="label" :for="`unit-${filter.key}`">Behind the numbers</label>
      <InputText
        :id="`unit-${filter.key}`"
        :model-value="filter.unit"
        size="small"
        maxlength="12"
        class="unit"
        placeholder="EUR, km, min"
        @change="set({ unit: text($event) })"
      />
    </div>
    <div v-if="isOne('bands')" class="field">
      <label :for="`steps-${filter.key}`">Steps end at</label>
      <InputText
        :id="`steps-${filter.key}`"
        :model-value="filter.bands.join('  ')"
        size="small"
        placeholder="round numbers that fit"
        :aria-invalid="wrongSteps !== ''"
        @change="step(text($event))"
      />
      <span v-if="wrongSteps" class="wrong" role="alert">{{ wrongSteps }}</span>
    </div>
    <div v-if="isOne('one-of', 'menu', 'distance')" class="choice">
      <label class="label" :for="`neutral-${filter.key}`">For none of them</label>
      <InputText
        :id="`neutral-${filter.key}`"
        :model-value="filter.neutral"
        size="small"
        maxlength="40"
        class="unit"
        placeholder="Any"
        @change="set({ neutral: text($event) })"
      />
    </div>
    <div v-if="isOne('list', 'chips', 'pictures')" class="choice">
      <span class="label">Several ticked</span>
      <SelectButton
        :model-value="filter.several"
        :options="several"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="What several ticks mean"
        @update:model-value="set({ several: $event })"
      />
    </div>
    <div v-if="kind === 'category' && filter.picked === null" class="choice">
      <label :id="`order-of-${filter.key}`" class="label" :for="`order-${filter.key}`">Listed</label>
      <Select
        :input-id="`order-${filter.key}`"
        :aria-labelledby="`order-of-${filter.key}`"
        :model-value="filter.order"
        :options="orders"
        option-label="label"
        option-value="value"
        size="small"
        class="chosen"
        @update:model-value="set({ order: $event })"
      />
    </div>
    <div v-if="isOne('list', 'one-of', 'menu', 'chips', 'pictures', 'bands', 'months')" class="choice">
      <label :id="`without-of-${filter.key}`" class="label" :for="`without-${filter.key}`">Without results</label>
      <Select
        :input-id="`without-${filter.key}`"
        :aria-labelledby="`without-of-${filter.key}`"
        class="chosen"
        :model-value="filter.withoutResults"
        :options="withoutFor"
        option-label="label"
        option-value="value"
        size="small"
        @update:model-value="set({ withoutResults: $event })"
      />
    </div>
    <div v-if="isOne('list', 'one-of', 'chips', 'pictures', 'months')" class="choice">
      <label class="label" :for="`cut-${filter.key}`">Shown at first</label>
      <InputNumber
        :input-id="`cut-${filter.key}`"
        :model-value="filter.cutAfter"
        :min="1"
        :max="1000"
        size="small"
        class="cut"
        @update:model-value="$event && set({ cutAfter: $event })"
      />
    </div>
    <div v-if="isOne('list') && kind === 'category'" class="choice">
      <label class="label" :for="`find-${filter.key}`">Searched by name from</label>
      <InputNumber
        :input-id="`find-${filter.key}`"
        :model-value="filter.values.searchFrom"
        :min="1"
        :max="10000"
        size="small"
        class="cut"
        @update:model-value="$event && set({ values: { ...filter.values, searchFrom: $event } })"
      />
    </div>
    <template v-if="isOne('distance')">
      <div class="choice">
        <span class="label">Measured in</span>
        <SelectButton
          :model-value="filter.unit === 'mi' ? 'mi' : 'km'"
          :options="units"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          size="small"
          aria-label="Measured in"
          @update:model-value="set({ unit: $event })"
        />
      </div>
      <div class="field">
        <label :for="`radii-${filter.key}`">Distances to choose from</label>
        <InputText
          :id="`radii-${filter.key}`"
          :model-value="filter.radii.join('  ')"
          size="small"
          :aria-invalid="wrongRadii !== ''"
          @change="reach(text($event))"
        />
        <span v-if="wrongRadii" class="wrong" role="alert">{{ wrongRadii }}</span>
      </div>
    </template>
    <label v-if="hasValues" class="switch" :for="`counts-${filter.key}`">
      Number of items beside each
      <ToggleSwitch
        :input-id="`counts-${filter.key}`"
        :model-value="filter.counts"
        @update:model-value="set({ counts: $event })"
      />
    </label>
    <label class="switch" :for="`folded-${filter.key}`">
      Only the label at first
      <ToggleSwitch
        :input-id="`folded-${filter.key}`"
        :model-value="filter.folded"
        @update:model-value="set({ folded: $event })"
      />
    </label>
    <div v-if="!isOne('distance')" class="choice">
      <label :id="`start-of-${filter.key}`" class="label" :for="`start-${filter.key}`">Starts with</label>
      <Select
        :input-id="`start-${filter.key}`"
        :aria-labelledby="`start-of-${filter.key}`"
        :model-value="start"
        :options="starts"
        option-label="label"
        option-value="value"
        size="small"
        class="chosen"
        @update:model-value="begin($event)"
      />
    </div>
    <small v-if="nothingOnStage" class="wrong" role="alert">
      Nothing is set in it on the stage. Set there what visitors should start with, then choose this.
    </small>
    <small v-else-if="start === 'chosen'" class="quiet">
      Starts with {{ filter.start.chosen.join(', ') }}. “Clear all” goes back to it.
    </small>
    <h3 class="part">Where and when</h3>
    <div class="choice">
      <span class="label">On the results page</span>
      <SelectButton
        :model-value="filter.shown.page"
        :options="pages"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="On the results page"
        @update:model-value="setShown({ page: $event })"
      />
    </div>
    <label class="switch" :for="`box-${filter.key}`">
      Beside the search box
      <ToggleSwitch
        :input-id="`box-${filter.key}`"
        :model-value="filter.shown.box"
        @update:model-value="setShown({ box: $event })"
      />
    </label>
    <label class="switch" :for="`home-${filter.key}`">
      Among the filters alone on a page
      <ToggleSwitch
        :input-id="`home-${filter.key}`"
        :model-value="filter.shown.home"
        @update:model-value="setShown({ home: $event })"
      />
    </label>
    <div class="choice">
      <span class="label">Widths</span>
      <SelectButton
        :model-value="filter.devices"
        :options="devices"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="Where it is shown"
        @update:model-value="set({ devices: $event })"
      />
    </div>
    <div v-if="others.length > 0" class="choice">
      <label :id="`after-of-${filter.key}`" class="label" :for="`after-${filter.key}`">When</label>
      <Select
        :input-id="`after-${filter.key}`"
        :aria-labelledby="`after-of-${filter.key}`"
        :model-value="filter.after ?? ALWAYS"
        :options="afters"
        option-label="label"
        option-value="value"
        size="small"
        class="chosen"
        @update:model-value="set({ after: $event === ALWAYS ? null : $event })"
      />
    </div>
    <label class="switch" :for="`narrowing-${filter.key}`">
      Only while it can narrow
      <ToggleSwitch
        :input-id="`narrowing-${filter.key}`"
        :model-value="filter.shown.narrowing"
        @update:model-value="setShown({ narrowing: $event })"
      />
    </label>
    <fieldset v-if="collections.length > 1" class="some">
      <legend class="label">Only with results of</legend>
      <label v-for="one in collections" :key="one.key">
        <input
          type="checkbox"
          :checked="filter.shown.collections.includes(one.key)"
          @change="
            setShown({
              collections: filter.shown.collections.includes(one.key)
                ? filter.shown.collections.filter(key => key !== one.key)
                : [...filter.shown.collections, one.key],
            })
          "
        />
        {{ one.label }}
      </label>
    </fieldset>
    <template v-if="filter.joined">
      <h3 class="part">Joined of {{ filter.joined.parts.length }} fields</h3>
      <div class="choice">
        <SelectButton
          :model-value="filter.joined.headings"
          :options="headings"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          size="small"
          aria-label="How the fields stand together"
          @update:model-value="setJoined({ headings: $event })"
        />
        <Button label="Take apart" size="small" severity="secondary" outlined @click="emit('apart')" />
      </div>
      <div v-for="(part, n) in filter.joined.parts" :key="part.key" class="joined">
        <button
          type="button"
          class="opens"
          :aria-expanded="openPart === part.key"
          @click="openPart = openPart === part.key ? null : part.key"
        >
          <i :class="openPart === part.key ? 'pi pi-angle-down' : 'pi pi-angle-right'" aria-hidden="true" />
          {{ part.label }}
        </button>
        <FilterValues
          v-if="openPart === part.key && kindOf(part) === 'category'"
          :search="search"
          :model-value="part"
          @update:model-value="setJoined({ parts: filter.joined.parts.map((one, at) => (at === n ? $event : one)) })"
        />
        <small v-else-if="openPart === part.key" class="quiet">
          Its yes stands in the list, as “{{ part.label }}”.
        </small>
      </div>
    </template>
    <FilterValues v-else-if="kind === 'category'" v-model="filter" :search="search" :pictures="isOne('pictures')" />
    <div v-if="joinable.length > 0" class="choice">
      <label :id="`join-of-${filter.key}`" class="label" :for="`join-${filter.key}`">In one filter with</label>
      <Select
        :input-id="`join-${filter.key}`"
        :aria-labelledby="`join-of-${filter.key}`"
        model-value=""
        :options="joinable"
        option-label="label"
        option-value="value"
        size="small"
        class="chosen"
        placeholder="Another filter"
        @update:model-value="emit('join', $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 12px;
  padding: 4px 14px 14px;
}
.where {
  gap: 12px;
}
.where > .grow {
  min-width: 150px;
}
.where input {
  width: 100%;
}
.key {
  max-width: 120px;
}
.choice {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.chosen {
  width: 220px;
}
.unit {
  width: 130px;
}
.cut :deep(input) {
  width: 72px;
}
.part {
  margin: 6px 0 0;
  padding-top: 12px;
  border-top: 1px solid var(--line);
  font-size: 14px;
  font-weight: 650;
}
.some {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  margin: 0;
  padding: 0;
  border: 0;
}
.some legend {
  padding: 0;
  margin-bottom: 4px;
}
.some label {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 28px;
  cursor: pointer;
}
.some input {
  width: 16px;
  height: 16px;
  margin: 0;
  accent-color: var(--sea);
}
.joined {
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 2px 10px;
}
.joined > :last-child:not(button) {
  padding-bottom: 8px;
}
.opens {
  display: flex;
  align-items: center;
  gap: 6px;
  width: 100%;
  min-height: 32px;
  padding: 0;
  border: 0;
  background: none;
  font: inherit;
  font-weight: 600;
  color: inherit;
  cursor: pointer;
}
.switch {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  font-weight: 600;
  font-size: 13px;
  cursor: pointer;
}
</style>

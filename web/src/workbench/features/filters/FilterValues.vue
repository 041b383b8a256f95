<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, toRef } from 'vue'
import type { SourceOf } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ChoiceField from '../../kit/ChoiceField.vue'
import { counted, formatNumber } from '../../kit/format'
import IconButton from '../../kit/IconButton.vue'
import { moved } from '../../kit/moved'
import ReorderableList from '../../kit/ReorderableList.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { api } from '../../ownerApi'
import FilterValue from './FilterValue.vue'
import { isOff, withAllTurned, withTurned } from './filterValues'

/** Which of a category field's values a filter has on its list, in which order, and what visitors read for each. */
const { search, pictures = false } = defineProps<{
  search: string
  /** Whether each value has a colour or a picture. */
  pictures?: boolean
}>()
const source = defineModel<SourceOf<'category'>>({ required: true })
const settings = settingsOf(source)
const offered = toRef(settings, 'offered')
const rules = settingsOf(offered)

const SHOWN = 200
const FEW = 10
const { data } = useQuery({
  queryKey: ['reach', () => search, 'filter-values', () => source.value.field],
  queryFn: () => api.filterValues(search, source.value.field),
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
const turnFound = (on: boolean) => {
  offered.value = withAllTurned(
    offered.value,
    found.value.map(value => value.value),
    on,
  )
}
const MODES = [
  { value: false, label: 'All but some' },
  { value: true, label: 'Hand-picked' },
]
const isPicked = computed(() => offered.value.picked !== null)
const takenOff = computed(() => values.value.filter(value => isOff(offered.value, value.value)))
const summary = computed(() => {
  if (offered.value.picked) return counted(offered.value.picked.length, 'value')
  return takenOff.value.length === 0 ? 'all of them' : `${counted(takenOff.value.length, 'value')} taken off`
})
const rule = computed(() => {
  if (!isPicked.value) return 'Taking one off takes off what lies below it. Its items are still found.'
  return offered.value.withBelow || !isTree.value
    ? 'A picked value stands for all that lies below it. New values stay away.'
    : 'A picked value stands for the items that name it itself. New values stay away.'
})
function nameOf(key: string): string {
  const known = values.value.find(value => value.value === key)
  const name = source.value.looks.labels[key] ?? known?.names.join(' › ') ?? key
  return known || !data.value ? name : `${name} (no item has it)`
}
</script>

<template>
  <div class="values">
    <div class="line">
      <b>Values on the list</b>
      <span class="quiet">{{ summary }}</span>
    </div>
    <ButtonChoice
      label="Which values are on the list"
      :options="MODES"
      :model-value="isPicked"
      @update:model-value="rules.picked = $event ? [] : null"
    />
    <template v-if="isTree && !isPicked">
      <SwitchField v-model="rules.tree" label="As a tree" />
      <ChoiceField
        label="Down to"
        :options="depths"
        :model-value="Math.min(offered.depth, levels)"
        @update:model-value="rules.depth = $event"
      />
    </template>
    <SwitchField v-if="isTree && isPicked" v-model="rules.withBelow" label="With what lies below" />
    <ReorderableList
      v-if="offered.picked && offered.picked.length > 0"
      class="picked"
      label="Picked, in this order"
      :items="offered.picked"
      :key-of="key => key"
      :name-of="nameOf"
      @move="(from, to) => (rules.picked = moved(offered.picked ?? [], from, to))"
    >
      <template #default="{ item: key }">{{ nameOf(key) }}</template>
      <template #after-steps="{ item: key }">
        <IconButton icon="times" :label="`Take ${nameOf(key)} off`" @click="offered = withTurned(offered, key)" />
      </template>
    </ReorderableList>
    <div v-if="values.length > FEW" class="line">
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
      <FilterValue
        v-for="value in found.slice(0, SHOWN)"
        :key="value.value"
        v-model="source"
        :value="value"
        :values="values"
        :name-of="nameOf"
        :pictures="pictures"
      />
      <li v-if="found.length > SHOWN" class="quiet">
        {{ formatNumber(found.length - SHOWN) }} more; find them by name
      </li>
    </ul>
    <details v-if="!isPicked && takenOff.length > 0">
      <summary>{{ counted(takenOff.length, 'value') }} taken off</summary>
      <ul>
        <li v-for="value in takenOff" :key="value.value" class="line">
          <span>{{ value.names.join(' › ') }}</span>
          <span class="number quiet">{{ formatNumber(value.count) }}</span>
        </li>
      </ul>
    </details>
    <small class="quiet">{{ rule }}</small>
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
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 260px;
  overflow-y: auto;
}
summary {
  cursor: pointer;
  font-weight: 600;
  font-size: 13px;
}
</style>

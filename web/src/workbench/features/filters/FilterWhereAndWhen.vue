<script setup lang="ts">
import { computed, toRef } from 'vue'
import type { CollectionShape, Filter } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { settingsOf } from '../../kit/settingsOf'

/** In which places a filter is shown, and what must be so for that. */
const { others, collections } = defineProps<{
  /** The other filters of the search that visitors meet. */
  others: readonly Filter[]
  /** Those that are searched. */
  collections: readonly CollectionShape[]
}>()
const filter = defineModel<Filter>({ required: true })
const shown = settingsOf(toRef(settingsOf(filter), 'shown'))
const PAGES: readonly { value: Filter['shown']['page']; label: string }[] = [
  { value: 'side', label: 'Beside' },
  { value: 'top', label: 'Above' },
  { value: 'nowhere', label: 'No' },
]
const DEVICES: readonly { value: Filter['shown']['devices']; label: string }[] = [
  { value: 'all', label: 'Everywhere' },
  { value: 'wide', label: 'Wide' },
  { value: 'narrow', label: 'Phones' },
]
/** A list takes null, and an empty value too, for nothing chosen; no filter can have this name. */
const ALWAYS = '*'
const afters = computed(() => [
  { value: ALWAYS, label: 'Always' },
  ...others.map(one => ({ value: one.head.key, label: `Once ${one.head.label} is set` })),
])
const tick = (key: string) => {
  const now = filter.value.shown.collections
  shown.collections = now.includes(key) ? now.filter(one => one !== key) : [...now, key]
}
const said = computed(() => {
  const { shown } = filter.value
  const places = [
    { side: 'beside the results', top: 'above the results', nowhere: '' }[shown.page],
    shown.box ? 'at the box' : '',
    shown.home ? 'alone' : '',
  ].filter(Boolean)
  return [
    places.length > 0 ? places.join(' and ') : 'nowhere',
    { all: '', wide: 'wide screens', narrow: 'phones' }[shown.devices],
    shown.after === null ? '' : (afters.value.find(one => one.value === shown.after)?.label.toLowerCase() ?? ''),
    shown.narrowing ? 'while it narrows' : '',
    shown.collections.length > 0 ? 'with some results' : '',
  ]
    .filter(Boolean)
    .join(', ')
})
</script>

<template>
  <FoldingSection title="Where and when" :said="said">
    <ChoiceField v-model="shown.page" label="On the results page" buttons :options="PAGES" />
    <SwitchField v-model="shown.box" label="Beside the search box" />
    <SwitchField v-model="shown.home" label="Among the filters alone on a page" />
    <ChoiceField v-model="shown.devices" label="Widths" buttons :options="DEVICES" />
    <ChoiceField
      v-if="others.length > 0"
      label="When"
      :options="afters"
      :model-value="filter.shown.after ?? ALWAYS"
      @update:model-value="shown.after = $event === ALWAYS ? null : $event"
    />
    <SwitchField v-model="shown.narrowing" label="Only while it can narrow" />
    <fieldset v-if="collections.length > 1" class="some">
      <legend class="label">Only with results of</legend>
      <label v-for="one in collections" :key="one.key">
        <input type="checkbox" :checked="filter.shown.collections.includes(one.key)" @change="tick(one.key)" />
        {{ one.label }}
      </label>
    </fieldset>
  </FoldingSection>
</template>

<style scoped>
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
</style>

<script setup lang="ts">
import { computed, toRef } from 'vue'
import type { CollectionShape, Filter } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { settingsOf } from '../../kit/settingsOf'
import LimitedText from '../design-rules/LimitedText.vue'
import FilterAddress from './FilterAddress.vue'
import FilterListing from './FilterListing.vue'
import FilterWhereAndWhen from './FilterWhereAndWhen.vue'
import CategorySettings from './sources/CategorySettings.vue'
import DaySettings from './sources/DaySettings.vue'
import DistanceSettings from './sources/DistanceSettings.vue'
import JointSettings from './sources/JointSettings.vue'
import NumberSettings from './sources/NumberSettings.vue'
import StartChoice from './sources/StartChoice.vue'
import YesNoSettings from './sources/YesNoSettings.vue'

/** Everything about one filter: the usual first, the rest under lines that say what is set there. */
const { joinWith } = defineProps<{
  search: string
  /** The other filters of the search that visitors meet. */
  others: readonly Filter[]
  /** Names in addresses that others have. */
  taken: readonly string[]
  /** Those that are searched. */
  collections: readonly CollectionShape[]
  /** Filters that it can be joined with; none for a part of a joint one. */
  joinWith: readonly Filter[]
  /** A filter as it works over the kind that its field has. */
  atWork: (filter: Filter) => Filter
}>()
const emit = defineEmits<{ join: [other: string]; apart: [] }>()
const filter = defineModel<Filter>({ required: true })
const settings = settingsOf(filter)
const head = settingsOf(toRef(settings, 'head'))
const source = computed(() => filter.value.source)
const joinable = computed(() => joinWith.map(other => ({ value: other.head.key, label: other.head.label })))
</script>

<template>
  <div class="settings">
    <LimitedText v-model="head.label" label="Visitors read" path="filters.head.label" required />
    <CategorySettings
      v-if="source.of === 'category'"
      :model-value="source"
      :search="search"
      :filter="filter.head.key"
      @update:model-value="settings.source = $event"
    />
    <JointSettings
      v-else-if="source.of === 'joint'"
      :model-value="source"
      :search="search"
      :filter="filter.head.key"
      :at-work="atWork"
      @update:model-value="settings.source = $event"
      @apart="emit('apart')"
    />
    <NumberSettings
      v-else-if="source.of === 'number'"
      :model-value="source"
      :filter="filter.head.key"
      @update:model-value="settings.source = $event"
    />
    <DaySettings
      v-else-if="source.of === 'day'"
      :model-value="source"
      :filter="filter.head.key"
      @update:model-value="settings.source = $event"
    />
    <YesNoSettings
      v-else-if="source.of === 'yes-no'"
      :model-value="source"
      :filter="filter.head.key"
      @update:model-value="settings.source = $event"
    />
    <DistanceSettings
      v-else-if="source.of === 'distance'"
      :model-value="source"
      @update:model-value="settings.source = $event"
    />
    <StartChoice
      v-else
      :filter="filter.head.key"
      :model-value="source"
      @update:model-value="settings.source = $event"
    />
    <ChoiceField
      v-if="joinable.length > 0"
      label="In one filter with"
      :options="joinable"
      placeholder="Another filter"
      model-value=""
      @update:model-value="emit('join', $event)"
    />
    <FilterListing v-model="filter" />
    <FilterWhereAndWhen v-model="filter" :others="others" :collections="collections" />
    <FilterAddress v-model="filter" :taken="taken" />
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 12px;
  padding: 4px 14px 14px;
}
</style>

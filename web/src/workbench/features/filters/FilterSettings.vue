<script setup lang="ts">
import { computed } from 'vue'
import type { CollectionShape, FieldKind, Filter } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import TextField from '../../kit/TextField.vue'
import { settingsOf } from '../../kit/settingsOf'
import FilterAddress from './FilterAddress.vue'
import FilterHandling from './FilterHandling.vue'
import FilterListing from './FilterListing.vue'
import FilterOfParts from './FilterOfParts.vue'
import FilterStart from './FilterStart.vue'
import FilterValues from './FilterValues.vue'
import FilterWhereAndWhen from './FilterWhereAndWhen.vue'
import type { Control } from './filters'

/** Everything about one filter: the usual first, the rest under lines that say what is set there. */
const { fitting, joinWith } = defineProps<{
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
const filter = defineModel<Filter>({ required: true })
const settings = settingsOf(filter)
const control = computed<Control | null>(() => {
  const own = filter.value.control
  return own !== null && fitting.includes(own) ? own : (fitting[0] ?? own)
})
const joinable = computed(() => joinWith.map(other => ({ value: other.key, label: other.label })))
</script>

<template>
  <div class="settings">
    <TextField v-model="settings.label" label="Visitors read" :maxlength="80" required />
    <FilterHandling v-model="filter" :control="control" :fitting="fitting" />
    <FilterStart v-if="control !== 'distance'" v-model="filter" :kind="kind" :control="control" />
    <FilterOfParts
      v-if="filter.joined"
      :model-value="filter.joined"
      :search="search"
      :kind-of="kindOf"
      @update:model-value="settings.joined = $event"
      @apart="emit('apart')"
    />
    <FilterValues
      v-else-if="kind === 'category'"
      v-model="filter"
      :search="search"
      :pictures="control === 'pictures'"
    />
    <ChoiceField
      v-if="joinable.length > 0"
      label="In one filter with"
      :options="joinable"
      placeholder="Another filter"
      model-value=""
      @update:model-value="emit('join', $event)"
    />
    <FilterListing v-model="filter" :kind="kind" :control="control" />
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

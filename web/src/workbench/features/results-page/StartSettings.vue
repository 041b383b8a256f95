<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { PlaceChoices, ResultsPage } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { api } from '../../ownerApi'
import CategoryFilterField from '../places/CategoryFilterField.vue'
import { STARTS } from '../places/placeNames'

type Start = ResultsPage['start']

/** What stands on the page before anything is typed. */
const { search, categories } = defineProps<{ search: string; categories: PlaceChoices['categories'] }>()
const start = defineModel<Start>({ required: true })
const filter = computed(() => start.value.filter ?? categories[0]?.filter ?? null)
const field = computed(() => categories.find(one => one.filter === filter.value)?.field ?? null)
const { data: values } = useQuery({
  queryKey: ['reach', () => search, 'filter-values', field],
  queryFn: () => api.filterValues(search, field.value!),
  enabled: () => field.value !== null,
})
const options = computed(() => (values.value ?? []).map(one => ({ value: one.value, label: one.names.join(' › ') })))
/** A start with a category needs one, so it is offered once there is one to begin with. */
const starts = computed(() =>
  STARTS.filter(one => one.value !== 'category' || start.value.with === 'category' || options.value.length > 0),
)

function begin(chosen: Start['with']) {
  const first = options.value[0]?.value ?? null
  start.value =
    chosen === 'category'
      ? { with: chosen, filter: filter.value, value: first }
      : { with: chosen, filter: null, value: null }
}
async function of(chosen: string | null) {
  const its = categories.find(one => one.filter === chosen)?.field
  const [first] = its ? await api.filterValues(search, its) : []
  if (first) start.value = { with: 'category', filter: chosen, value: first.value }
}
</script>

<template>
  <ChoiceField
    label="Before anything is typed"
    :options="starts"
    :model-value="start.with"
    @update:model-value="begin"
  />
  <template v-if="start.with === 'category'">
    <CategoryFilterField
      label="A value of"
      :categories="categories"
      none=""
      :model-value="start.filter"
      @update:model-value="of"
    />
    <ChoiceField
      label="Which"
      :options="options"
      :model-value="start.value ?? ''"
      @update:model-value="start = { ...start, value: $event }"
    />
  </template>
  <p v-else-if="start.with === 'popular'" class="quiet">
    As long as nothing has been chosen on your site, everything stands there.
  </p>
</template>

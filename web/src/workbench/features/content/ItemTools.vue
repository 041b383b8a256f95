<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import Select from 'primevue/select'
import { computed, watch } from 'vue'
import type { CollectionShape } from '../../../shared/contract'
import { api } from '../../ownerApi'
import { filterChoices, valueChoices, YES_OR_NO } from './itemFilters'

/** What a table of items shows: words, a filter, columns. */
const { site, collection } = defineProps<{
  site: string
  collection: CollectionShape
  /** How many items are like this, in words; empty while nobody knows. */
  found: string
}>()
const words = defineModel<string>('words', { required: true })
const filter = defineModel<string>('filter', { required: true })
const value = defineModel<string>('value', { required: true })
const columns = defineModel<string[]>('columns', { required: true })
const filtered = computed(() => collection.fields.find(field => field.key === filter.value))
const { data: values } = useQuery({
  queryKey: ['values', () => site, () => collection.key, filter],
  queryFn: () => api.values(site, collection.key, filter.value, ''),
  enabled: computed(() => filtered.value?.kind === 'category'),
})
const choices = computed(() => (filtered.value?.kind === 'yes-no' ? YES_OR_NO : valueChoices(values.value ?? [])))
watch(filter, () => {
  value.value = ''
})
</script>

<template>
  <div class="tools">
    <InputText
      v-model="words"
      type="search"
      placeholder="Part of a title or id"
      aria-label="Find items by a part of their title or id"
    />
    <Select
      v-model="filter"
      :options="filterChoices(collection)"
      option-group-label="label"
      option-group-children="items"
      option-label="label"
      option-value="value"
      filter
      placeholder="All items"
      aria-label="Filter the items"
      class="filter"
    />
    <Select
      v-if="filtered"
      v-model="value"
      :options="choices"
      option-label="label"
      option-value="value"
      filter
      :aria-label="`Value of ${filtered.label}`"
      placeholder="Choose a value"
      class="filter"
    />
    <span class="quiet" role="status">{{ found }}</span>
    <span class="grow" />
    <MultiSelect
      v-model="columns"
      :options="collection.fields.filter(field => field.key !== 'title')"
      option-label="label"
      option-value="key"
      filter
      :max-selected-labels="0"
      selected-items-label="Columns"
      placeholder="Columns"
      aria-label="Columns of the table"
      class="choice"
    />
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-bottom: 12px;
  flex-wrap: wrap;
}
.tools input {
  width: 230px;
}
.filter {
  min-width: 170px;
  max-width: 240px;
}
.choice {
  width: 140px;
}
.grow {
  flex: 1;
}
</style>

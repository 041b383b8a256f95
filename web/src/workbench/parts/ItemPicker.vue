<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import { ref } from 'vue'
import type { CollectionShape, NamedItem } from '../../shared/contract'
import { api } from '../ownerApi'

/** Items of any collection, found by title or id; several where the model is a list. */
const { search, collections, label } = defineProps<{ search: string, collections: readonly CollectionShape[], label: string }>()
const picked = defineModel<NamedItem[]>({ required: true })
const offered = ref<NamedItem[]>([])
const labelOf = (key: string) => collections.find(one => one.key === key)?.label ?? key
async function offer(words: string) {
  const found = await api.anyItems(search, words)
  offered.value = found.filter(item => !picked.value.some(one => one.collection === item.collection && one.id === item.id))
}
</script>

<template>
  <AutoComplete
    v-model="picked" multiple fluid size="small" :suggestions="offered" option-label="title" :delay="120" :min-length="0" complete-on-focus force-selection
    :placeholder="picked.length === 0 ? 'Items, by their titles' : ''" :pt="{ input: { 'aria-label': label }, listContainer: { tabindex: 0 } }" @complete="offer($event.query)">
    <template #option="{ option }"><span class="option">{{ option.title }}<small class="quiet">{{ labelOf(option.collection) }}</small></span></template>
    <template #empty><span class="quiet">No item is called so.</span></template>
  </AutoComplete>
</template>

<style scoped>
.option { display: flex; justify-content: space-between; gap: 12px; width: 100%; }
</style>

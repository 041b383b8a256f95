<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import Button from 'primevue/button'
import { ref } from 'vue'
import type { CollectionShape, NamedItem } from '../../shared/contract'
import { api } from '../ownerApi'

/** Items of any collection, found by title or id, one after the other. */
const { search, collections, label } = defineProps<{
  search: string
  collections: readonly CollectionShape[]
  label: string
}>()
const picked = defineModel<NamedItem[]>({ required: true })
const offered = ref<NamedItem[]>([])
const typed = ref<NamedItem | string | null>(null)
const labelOf = (key: string) => collections.find(one => one.key === key)?.label ?? key
async function offer(words: string) {
  const found = await api.anyItems(search, words)
  offered.value = found.filter(
    item => !picked.value.some(one => one.collection === item.collection && one.id === item.id),
  )
}
function take(item: NamedItem) {
  picked.value = [...picked.value, item]
  typed.value = null
}
</script>

<template>
  <div class="picker">
    <ul v-if="picked.length > 0">
      <li v-for="item in picked" :key="`${item.collection}/${item.id}`">
        {{ item.title }}
        <Button
          icon="pi pi-times"
          text
          rounded
          size="small"
          severity="secondary"
          :aria-label="`Leave ${item.title} out again`"
          @click="picked = picked.filter(one => one !== item)"
        />
      </li>
    </ul>
    <AutoComplete
      v-model="typed"
      fluid
      size="small"
      :suggestions="offered"
      option-label="title"
      :delay="120"
      :min-length="0"
      dropdown
      :placeholder="picked.length === 0 ? 'An item, by its title' : 'Another one'"
      :pt="{
        pcInputText: { root: { 'aria-label': label } },
        dropdown: { 'aria-label': 'Show items' },
        listContainer: { tabindex: 0 },
      }"
      @complete="offer($event.query)"
      @option-select="take($event.value)"
    >
      <template #option="{ option }">
        <span class="option">
          {{ option.title }}
          <small class="quiet">{{ labelOf(option.collection) }}</small>
        </span>
      </template>
      <template #empty><span class="quiet">No item is called so.</span></template>
    </AutoComplete>
  </div>
</template>

<style scoped>
.picker {
  display: grid;
  gap: 4px;
  min-width: 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
li {
  display: flex;
  align-items: center;
  gap: 2px;
  max-width: 100%;
  padding: 0 0 0 10px;
  border-radius: 99px;
  background: var(--sea-wash);
  font-size: 13px;
}
li :deep(.p-button) {
  width: 26px;
  height: 26px;
  padding: 0;
  flex: none;
}
.option {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
}
</style>

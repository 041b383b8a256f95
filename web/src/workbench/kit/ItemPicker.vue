<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import type { CollectionShape, NamedItem } from '../../shared/contract'
import { api } from '../ownerApi'
import ItemField from './ItemField.vue'

/** Items of any collection, found by title or id, one after the other. */
const { search, collections, label } = defineProps<{
  search: string
  collections: readonly CollectionShape[]
  label: string
}>()
const picked = defineModel<NamedItem[]>({ required: true })
const typed = ref<NamedItem | string | null>(null)
const labelOf = (key: string) => collections.find(one => one.key === key)?.label ?? key
async function others(words: string) {
  const found = await api.anyItems(search, words)
  return found.filter(item => !picked.value.some(one => one.collection === item.collection && one.id === item.id))
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
    <ItemField
      v-model="typed"
      :name="label"
      :placeholder="picked.length === 0 ? 'An item, by its title' : 'Another one'"
      :offer="others"
      :collection-label="labelOf"
      @take="take"
    />
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
</style>

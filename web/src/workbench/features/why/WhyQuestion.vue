<script setup lang="ts">
import InputText from 'primevue/inputtext'
import type { NamedItem } from '../../../shared/contract'
import { api } from '../../ownerApi'
import ItemField from '../../kit/ItemField.vue'
import type { Names } from './whySaid'

/** What visitors type, and the item that the owner asks about. */
const { search, names } = defineProps<{ search: string; names: Names }>()
const words = defineModel<string>('words', { required: true })
/** A text as long as it is being written. */
const picked = defineModel<NamedItem | string | null>('picked', { required: true })
/** Without letters of a title, what the words find. */
async function offer(text: string) {
  if (text.trim() !== '' || words.value.trim() === '') return api.anyItems(search, text)
  const { hits } = await api.draftResults(search, words.value)
  return hits.map(({ collection, id, title }) => ({ collection, id, title }))
}
</script>

<template>
  <div class="field">
    <label for="why-words">Visitors type</label>
    <InputText id="why-words" v-model="words" size="small" />
  </div>
  <div class="field">
    <label for="why-item">and look for</label>
    <ItemField
      v-model="picked"
      input-id="why-item"
      placeholder="An item, by its title"
      :offer="offer"
      :collection-label="names.collection"
    />
  </div>
</template>

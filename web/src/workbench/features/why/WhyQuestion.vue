<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import type { NamedItem } from '../../../shared/contract'
import { api } from '../../ownerApi'
import type { Names } from './whySaid'

/** What visitors type, and the item that the owner asks about. */
const { search, names } = defineProps<{ search: string; names: Names }>()
const words = defineModel<string>('words', { required: true })
/** A text as long as it is being written. */
const picked = defineModel<NamedItem | string | null>('picked', { required: true })
const offered = ref<NamedItem[]>([])
/** Without letters of a title, what the words find. */
async function offer(text: string) {
  offered.value =
    text.trim() === '' && words.value.trim() !== ''
      ? (await api.draftResults(search, words.value)).hits.map(({ collection, id, title }) => ({
          collection,
          id,
          title,
        }))
      : await api.anyItems(search, text)
}
</script>

<template>
  <div class="field">
    <label for="why-words">Visitors type</label>
    <InputText id="why-words" v-model="words" size="small" />
  </div>
  <div class="field">
    <label for="why-item">and look for</label>
    <AutoComplete
      v-model="picked"
      input-id="why-item"
      :suggestions="offered"
      option-label="title"
      :delay="120"
      :min-length="0"
      dropdown
      force-selection
      size="small"
      fluid
      placeholder="An item, by its title"
      :pt="{ dropdown: { 'aria-label': 'Show items' }, listContainer: { tabindex: 0 } }"
      @complete="offer($event.query)"
    >
      <template #option="{ option }">
        <span class="option">
          {{ option.title }}
          <small class="quiet">{{ names.collection(option.collection) }}</small>
        </span>
      </template>
    </AutoComplete>
  </div>
</template>

<style scoped>
.option {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
}
</style>

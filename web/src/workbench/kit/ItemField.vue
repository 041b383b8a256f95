<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import { ref } from 'vue'
import type { NamedItem } from '../../shared/contract'

/** One item, found by its title; what is typed stays a text until an item is taken. */
const { offer, collectionLabel } = defineProps<{
  /** Id of the control, for a label in front of it. */
  inputId?: string
  /** What it is called where no label stands. */
  name?: string
  placeholder: string
  /** The items to choose from, by what was typed so far. */
  offer: (typed: string) => Promise<NamedItem[]>
  /** What stands behind each title; nothing where it is not given. */
  collectionLabel?: (key: string) => string
}>()
const emit = defineEmits<{ take: [item: NamedItem] }>()
const item = defineModel<NamedItem | string | null>({ required: true })
const offered = ref<NamedItem[]>([])
async function ask(typed: string) {
  offered.value = await offer(typed)
}
</script>

<template>
  <AutoComplete
    v-model="item"
    :input-id="inputId"
    :suggestions="offered"
    option-label="title"
    :delay="120"
    :min-length="0"
    dropdown
    force-selection
    size="small"
    fluid
    :placeholder="placeholder"
    :pt="{
      pcInputText: { root: { 'aria-label': name } },
      dropdown: { 'aria-label': 'Show items' },
      listContainer: { tabindex: 0 },
    }"
    @complete="ask($event.query)"
    @option-select="emit('take', $event.value)"
  >
    <template #option="{ option }">
      <span class="option">
        {{ option.title }}
        <small class="quiet">{{ collectionLabel?.(option.collection) }}</small>
      </span>
    </template>
    <template #empty><span class="quiet">No item is called so.</span></template>
  </AutoComplete>
</template>

<style scoped>
.option {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
}
</style>

<script setup lang="ts">
import { ref } from 'vue'
import type { Filter } from '../../../shared/contract'
import FoldingSection from '../../kit/FoldingSection.vue'
import TextField from '../../kit/TextField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { wrongWithKey } from './filters'

/** What a filter is called in addresses, and what stands below its label. */
const { taken } = defineProps<{
  /** Names in addresses that others have. */
  taken: readonly string[]
}>()
const filter = defineModel<Filter>({ required: true })
const settings = settingsOf(filter)
const wrong = ref('')
function rename(key: string) {
  wrong.value = wrongWithKey(key, taken)
  if (wrong.value === '') filter.value = { ...filter.value, key }
}
</script>

<template>
  <FoldingSection title="Address and help" :said="`?${filter.key}=${filter.help === '' ? '' : ` · ${filter.help}`}`">
    <TextField
      label="In the address"
      beside
      :wrong="wrong"
      :model-value="filter.key"
      @update:model-value="rename($event)"
    />
    <TextField v-model="settings.help" label="A line of help below it" :maxlength="200" />
  </FoldingSection>
</template>

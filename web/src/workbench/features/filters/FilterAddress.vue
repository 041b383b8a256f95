<script setup lang="ts">
import { ref, toRef } from 'vue'
import type { Filter, DesignRules } from '../../../shared/contract'
import FoldingSection from '../../kit/FoldingSection.vue'
import TextField from '../../kit/TextField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { wrongWithKey } from './filters'

/** What a filter is called in addresses, and what stands below its label. */
const { taken, rules } = defineProps<{
  /** Names in addresses that others have. */
  taken: readonly string[]
  rules: DesignRules
}>()
const filter = defineModel<Filter>({ required: true })
const head = settingsOf(toRef(settingsOf(filter), 'head'))
const wrong = ref('')
function rename(key: string) {
  wrong.value = wrongWithKey(key, taken, rules)
  if (wrong.value === '') head.key = key
}
</script>

<template>
  <FoldingSection
    title="Address and help"
    :said="`?${filter.head.key}=${filter.head.help === '' ? '' : ` · ${filter.head.help}`}`"
  >
    <TextField
      label="In the address"
      beside
      :wrong="wrong"
      :model-value="filter.head.key"
      @update:model-value="rename($event)"
    />
    <TextField
      v-model="head.help"
      label="A line of help below it"
      :maxlength="rules.limits['filters.head.help']!.most"
    />
  </FoldingSection>
</template>

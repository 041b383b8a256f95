<script setup lang="ts">
import { ref, toRef } from 'vue'
import type { Filter } from '../../../shared/contract'
import FoldingSection from '../../kit/FoldingSection.vue'
import TextField from '../../kit/TextField.vue'
import { settingsOf } from '../../kit/settingsOf'
import LimitedText from '../design-rules/LimitedText.vue'
import { useDesignRules } from '../design-rules/useDesignRules'
import { wrongWithKey } from './filters'

/** What a filter is called in addresses, and what stands below its label. */
const { taken } = defineProps<{
  /** Names in addresses that others have. */
  taken: readonly string[]
}>()
const filter = defineModel<Filter>({ required: true })
const head = settingsOf(toRef(settingsOf(filter), 'head'))
const { rules } = useDesignRules()
const wrong = ref('')
function rename(key: string) {
  if (!rules.value) return
  wrong.value = wrongWithKey(key, taken, rules.value)
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
    <LimitedText v-model="head.help" label="A line of help below it" path="filters.head.help" />
  </FoldingSection>
</template>

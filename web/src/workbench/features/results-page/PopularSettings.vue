<script setup lang="ts">
import { computed } from 'vue'
import type { PlaceChoices, PopularCategories } from '../../../shared/contract'
import { settingsOf } from '../../kit/settingsOf'
import SwitchLine from '../../kit/SwitchLine.vue'
import CategoryFilterField from '../places/CategoryFilterField.vue'
import LimitedNumber from '../design-rules/LimitedNumber.vue'

/** Categories as links that lead on: where nothing is found, and below every list where the owner says so. */
const { choices } = defineProps<{ choices: PlaceChoices }>()
const popular = defineModel<PopularCategories | null>({ required: true })
const filter = computed({
  get: () => popular.value?.filter ?? null,
  set: chosen => {
    const ready = choices.categories.find(one => one.filter === chosen)?.popular
    popular.value = ready ? { ...ready, ...popular.value, filter: ready.filter } : null
  },
})
const settings = settingsOf(popular as { value: PopularCategories })
</script>

<template>
  <CategoryFilterField
    v-model="filter"
    label="Popular categories"
    :categories="choices.categories"
    none="Are not offered"
  />
  <template v-if="popular">
    <LimitedNumber v-model="settings.most" label="At most" path="places.page.shows.popular.most" />
    <SwitchLine
      v-model="settings.below"
      label="Below every list, too"
      hint="Those whose entries visitors chose most often; as long as none was, the largest."
    />
  </template>
</template>

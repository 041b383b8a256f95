<script setup lang="ts" generic="Value extends number | null">
import { computed } from 'vue'
import type { PlaceChoices } from '../../../shared/contract'
import NumberField from '../../kit/NumberField.vue'

/** A number of a design within the limits that the service tells for it. */
const { limits, path } = defineProps<{
  label: string
  limits: PlaceChoices['limits']
  /** Where it stands in the design: `box.dress.sizes.height`. */
  path: string
  unit?: string
  /** What an empty field means; none where it must say something. */
  empty?: string
}>()
const number = defineModel<Value>({ required: true })
const limit = computed(() => limits[path]!)
</script>

<template>
  <NumberField v-model="number" :label="label" :min="limit.least" :max="limit.most" :unit="unit" :empty="empty" />
</template>

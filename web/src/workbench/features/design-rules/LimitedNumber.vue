<script setup lang="ts" generic="Value extends number | null">
import { computed } from 'vue'
import NumberField from '../../kit/NumberField.vue'
import { useDesignRules } from './useDesignRules'

/** A number of a design within the limits that the service tells for it. */
const { path } = defineProps<{
  label: string
  /** Where it stands in the design: `box.dress.sizes.height`. */
  path: string
  unit?: string
  /** What an empty field means; none where it must say something. */
  empty?: string
}>()
const number = defineModel<Value>({ required: true })
const rules = useDesignRules()
const limit = computed(() => rules.limit(path))
</script>

<template>
  <NumberField
    v-if="limit"
    v-model="number"
    :label="label"
    :min="limit.least"
    :max="limit.most"
    :unit="unit"
    :empty="empty"
  />
</template>

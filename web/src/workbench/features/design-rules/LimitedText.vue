<script setup lang="ts">
import TextField from '../../kit/TextField.vue'
import { useDesignRules } from './useDesignRules'

/** A text of a design, no longer than the service tells. */
const { path } = defineProps<{
  label: string
  /** Where it stands in the design: `tiers.name`. */
  path: string
  beside?: boolean
  /** Left empty, the text that was there comes back. */
  required?: boolean
  placeholder?: string
}>()
const text = defineModel<string>({ required: true })
const { limit } = useDesignRules()
</script>

<template>
  <TextField
    v-model="text"
    :label="label"
    :beside="beside"
    :required="required"
    :placeholder="placeholder"
    :maxlength="limit(path)?.most"
  />
</template>

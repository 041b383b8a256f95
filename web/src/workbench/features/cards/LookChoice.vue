<script setup lang="ts" generic="Value extends string">
import { computed } from 'vue'
import ChoiceField from '../../kit/ChoiceField.vue'

/** One of several, or null for what the look has. */
const { label, options } = defineProps<{ label: string; options: readonly { value: Value; label: string }[] }>()
const chosen = defineModel<Value | null>({ required: true })
/** A list takes null for nothing chosen; nothing that a look has is called so. */
const AS_LOOK = '*'
const all = computed(() => [{ value: AS_LOOK, label: 'As the look has it' }, ...options])
</script>

<template>
  <ChoiceField
    :label="label"
    :options="all"
    :model-value="chosen ?? AS_LOOK"
    @update:model-value="chosen = $event === AS_LOOK ? null : ($event as Value)"
  />
</template>

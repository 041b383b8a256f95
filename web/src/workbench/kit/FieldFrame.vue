<script setup lang="ts">
/** A label and the control that it is for: beside one another, or the label above. */
const {
  label,
  control,
  above = false,
  group = false,
} = defineProps<{
  label: string
  /** Id of the control; the label has the same with `-label` behind it. */
  control: string
  above?: boolean
  /** Whether the control is a group of several, which a label cannot stand for. */
  group?: boolean
}>()
</script>

<template>
  <div :class="above ? 'field' : 'choice'">
    <span v-if="group" :id="`${control}-label`" class="label">{{ label }}</span>
    <label v-else :id="`${control}-label`" class="label" :for="control">{{ label }}</label>
    <slot />
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
</style>

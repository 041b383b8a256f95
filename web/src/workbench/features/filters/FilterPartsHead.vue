<script setup lang="ts">
import Button from 'primevue/button'

/** Stands above filters that were joined in one and stand apart just now. */
const { label } = defineProps<{
  /** Of the joint filter. */
  label: string
}>()
const emit = defineEmits<{ together: []; forget: [] }>()
</script>

<template>
  <div class="group">
    <span>
      Apart from
      <b>{{ label }}</b>
    </span>
    <Button label="Put together" size="small" text @click="emit('together')" />
    <Button
      label="Keep apart"
      size="small"
      text
      severity="secondary"
      title="Forget that they were together"
      @click="emit('forget')"
    />
  </div>
</template>

<style scoped>
.group {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 8px 0 14px;
  font-size: 13px;
}
span {
  flex: 1;
}
</style>

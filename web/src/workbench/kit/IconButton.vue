<script setup lang="ts">
import Button from 'primevue/button'

/** A small button with a sign in place of words. */
const { icon, label } = defineProps<{
  /** Of PrimeIcons, without its prefix. */
  icon: string
  /** What it is called, for those who do not see the sign. */
  label: string
  disabled?: boolean
}>()
</script>

<template>
  <Button
    :icon="`pi pi-${icon}`"
    text
    rounded
    size="small"
    severity="secondary"
    class="icon-button"
    :disabled="disabled"
    :aria-label="label"
  />
</template>

<style scoped>
.icon-button {
  width: 28px;
  height: 28px;
  padding: 0;
  flex: none;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'

/** Says that the stage shows what was published once, with the way back. */
const { version } = defineProps<{ version: number }>()
const emit = defineEmits<{ end: [] }>()
</script>

<template>
  <div class="remark back" role="status">
    <i class="pi pi-history" aria-hidden="true" />
    <span>You look back at version {{ version }}.</span>
    <Button label="Back to the draft" size="small" severity="secondary" outlined @click="emit('end')" />
  </div>
</template>

<style scoped>
.back {
  align-items: center;
  margin-bottom: 12px;
}
.back .p-button {
  margin-left: auto;
}
</style>

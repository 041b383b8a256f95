<script setup lang="ts">
import Button from 'primevue/button'

/** What is done with a source: read it now or stop that, or change how it is read. */
defineProps<{
  running: boolean
  busy: boolean
  /** Whether the last run waits for an answer. */
  asks: boolean
}>()
const emit = defineEmits<{ change: []; run: []; stop: [] }>()
</script>

<template>
  <div class="acts">
    <Button label="Change how it is read" severity="secondary" outlined @click="emit('change')" />
    <Button
      v-if="!running"
      label="Run it now"
      icon="pi pi-refresh"
      :loading="busy"
      :disabled="asks"
      @click="emit('run')"
    />
    <Button v-else label="Stop" icon="pi pi-stop" severity="secondary" outlined @click="emit('stop')" />
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  gap: 8px;
  flex-shrink: 0;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import FileButton from './FileButton.vue'

/** A table that comes in from a file, and goes out as one where it has rows. */
const { file = null } = defineProps<{
  /** Address of the table as a file; null while it has no rows. */
  file?: string | null
}>()
const emit = defineEmits<{ read: [csv: string] }>()
</script>

<template>
  <div class="line files">
    <FileButton label="Read a CSV" accept=".csv" @chosen="emit('read', $event)" />
    <Button v-if="file" as="a" :href="file" download label="Save as CSV" size="small" severity="secondary" text />
    <slot />
  </div>
</template>

<style scoped>
.files {
  margin-top: 12px;
  font-size: 13px;
}
</style>

<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import Button from 'primevue/button'

/** A text to be taken elsewhere, as it is. */
const { text } = defineProps<{
  text: string
  /** What the text is, for those who do not see it. */
  label: string
}>()
// Without a secure context browsers know no other way than the old one.
const { copy, copied } = useClipboard({ legacy: true, copiedDuring: 4000 })
</script>

<template>
  <pre class="slip" tabindex="0" :aria-label="label">{{ text }}</pre>
  <Button
    :label="copied ? 'Copied' : 'Copy'"
    icon="pi pi-copy"
    size="small"
    severity="secondary"
    outlined
    @click="copy(text)"
  />
</template>

<style scoped>
pre {
  width: 100%;
  margin: 0;
  padding: 12px 14px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>

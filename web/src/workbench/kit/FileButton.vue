<script setup lang="ts">
/** A button that asks for a file of the owner's, and gives it, and its text where somebody wants that. */
const { label, accept, asText = true } = defineProps<{ label: string; accept: string; asText?: boolean }>()
const emit = defineEmits<{ chosen: [text: string]; file: [file: File] }>()

async function read(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  const text = asText ? await file?.text() : undefined
  field.value = ''
  if (file) emit('file', file)
  if (text !== undefined) emit('chosen', text)
}
</script>

<template>
  <label class="file">
    <input type="file" class="unseen" :accept="accept" @change="read" />
    <i class="pi pi-upload" aria-hidden="true" />
    {{ label }}
  </label>
</template>

<style scoped>
.file {
  position: relative;
  display: inline-flex;
  align-items: center;
  gap: 8px;
  padding: 6px 14px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  font-weight: 600;
  cursor: pointer;
  background: var(--card);
}
.file:hover {
  background: var(--sea-wash);
}
.file:focus-within {
  outline: 2px solid var(--sea);
  outline-offset: 2px;
}
</style>

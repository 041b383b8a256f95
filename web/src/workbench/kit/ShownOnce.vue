<script setup lang="ts">
/** Something that can be read this once, with what to do with it before it. */
defineProps<{ text: string }>()
</script>

<template>
  <div class="once" role="status">
    <p><slot /></p>
    <code>{{ text }}</code>
  </div>
</template>

<style scoped>
.once {
  padding: 12px;
  border-radius: 8px;
  background: var(--lamp-wash);
  display: grid;
  gap: 8px;
}
code {
  font-size: 14px;
  overflow-wrap: anywhere;
  user-select: all;
}
</style>

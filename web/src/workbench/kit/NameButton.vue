<script setup lang="ts">
/** The name of an entry with a line about it; pressed, the entry shows all it holds. */
const { name, line, open } = defineProps<{ name: string; line: string; open: boolean }>()
</script>

<template>
  <button type="button" class="name" :aria-expanded="open">
    <b>{{ name }}</b>
    <small class="quiet">{{ line }}</small>
  </button>
</template>

<style scoped>
.name {
  width: 100%;
  padding: 5px 0 5px 4px;
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
}
.name:focus-visible {
  border-radius: 4px;
}
b {
  font-weight: 600;
  overflow-wrap: anywhere;
}
small {
  display: block;
  font-size: 12.5px;
}
</style>

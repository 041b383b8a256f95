<script setup lang="ts">
/** One way to show the draft before all visitors meet it. */
const { name } = defineProps<{ name: string }>()
</script>

<template>
  <div class="way">
    <h4>{{ name }}</h4>
    <slot />
  </div>
</template>

<style scoped>
.way {
  display: grid;
  gap: 8px;
  justify-items: start;
  width: 100%;
}
h4 {
  margin: 0;
}
</style>

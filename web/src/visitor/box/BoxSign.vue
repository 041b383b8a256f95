<script setup lang="ts">
/** A sign on a button, or beside the words. */
defineProps<{
  /** Of an SVG of 24 by 24. */
  path: string
  /** In px. */
  size: number
}>()
</script>

<template>
  <svg class="sign" viewBox="0 0 24 24" :width="size" :height="size" aria-hidden="true"><path :d="path" /></svg>
</template>

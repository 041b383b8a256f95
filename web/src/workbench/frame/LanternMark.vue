<script setup lang="ts">
const { size = 24 } = defineProps<{ size?: number }>()
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 24 24" aria-hidden="true">
    <path d="M8 7a4 4 0 0 1 8 0" fill="none" stroke="currentColor" stroke-width="1.8" />
    <rect x="5" y="7" width="14" height="2.6" rx="1.3" fill="currentColor" />
    <path d="M6.6 10.4h10.8l1 8H5.6z" fill="#f0a93a" />
    <rect x="4" y="19.2" width="16" height="2.8" rx="1.4" fill="currentColor" />
  </svg>
</template>

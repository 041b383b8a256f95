<script setup lang="ts">
import type { Ribbon } from '../../shared/contract'

/**
 * The short label of a featured tier; nothing where it has none. What does not fit is cut short, and read in full by
 * those who hear it.
 */
const { looks, text } = defineProps<{ looks: Ribbon; text: string }>()
</script>

<template>
  <span class="ribbon" :class="[`size-${looks.size}`, `side-${looks.side}`]" part="ribbon" :title="text">
    {{ text }}
  </span>
</template>

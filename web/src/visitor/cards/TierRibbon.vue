<script setup lang="ts">
import type { TierFace } from '../../shared/contract'

/**
 * The short label of a featured tier; nothing where it has none. What does not fit is cut short, and read in full by
 * those who hear it.
 */
const { tier } = defineProps<{ tier: TierFace }>()
</script>

<template>
  <span
    v-if="tier.looks.ribbon"
    class="ribbon"
    :class="[`size-${tier.looks.ribbon.size}`, `side-${tier.looks.ribbon.side}`]"
    part="ribbon"
    :title="tier.looks.ribbon.text"
  >
    {{ tier.looks.ribbon.text }}
  </span>
</template>

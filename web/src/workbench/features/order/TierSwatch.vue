<script setup lang="ts">
import type { TierLooks } from '../../../shared/contract'

/** A card's looks in small: its ground, its edge, its ribbon. */
const {
  is = 'span',
  looks,
  says = '',
} = defineProps<{
  is?: 'span' | 'button'
  looks: TierLooks
  /** What stands on the ribbon. */
  says?: string
}>()
</script>

<template>
  <component
    :is="is"
    :type="is === 'button' ? 'button' : undefined"
    class="swatch"
    :class="{ small: says === '' }"
    :style="{
      background: looks.ground ?? '#fff',
      borderColor: looks.edge === 'none' ? 'var(--line)' : looks.edgeColor,
    }"
  >
    <span v-if="looks.ribbon" :style="{ background: looks.ribbon.ground, color: looks.ribbon.color }">{{ says }}</span>
  </component>
</template>

<style scoped>
.swatch {
  flex: none;
  padding: 5px;
  border: 2px solid;
  border-radius: 8px;
  font: inherit;
}
button.swatch {
  cursor: pointer;
}
.swatch span {
  display: block;
  padding: 1px 8px;
  border-radius: 99px;
  font-size: 12px;
  font-weight: 600;
}
.small {
  position: relative;
  width: 30px;
  height: 24px;
  border-radius: 6px;
}
.small span {
  position: absolute;
  top: -5px;
  right: 2px;
  width: 16px;
  height: 7px;
  padding: 0;
  border-radius: 4px;
}
</style>

<script setup lang="ts">
import type { StageWidth } from './stagePage'

/** What a page lies on while it is on the stage, as wide as it is looked at. */
defineProps<{ width: StageWidth }>()
</script>

<template>
  <div class="sheet" :class="width"><slot /></div>
</template>

<style scoped>
.sheet {
  flex: 1;
  min-height: 420px;
  width: 100%;
  margin: 0 auto;
  background: #fff;
  border-radius: 10px 10px 0 0;
  box-shadow: 0 6px 24px rgb(27 42 51 / 15%);
  overflow: auto;
  transition: width 0.18s;
}
.sheet.phone {
  width: min(390px, 100%);
}
.sheet > :slotted(iframe) {
  display: block;
  width: 100%;
  height: 100%;
  border: 0;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { PlacementShape } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import IconButton from '../../kit/IconButton.vue'
import PlacedWhen from './PlacedWhen.vue'
import type { When } from './placements'

/** An item that holds a tier by hand. */
const { placement } = defineProps<{ placement: PlacementShape }>()
const emit = defineEmits<{ change: [when: When]; remove: [] }>()
const title = computed(() => placement.title ?? `${placement.item.id} (gone)`)
const state = computed(() => {
  if (placement.state === 'ended') return `ended ${formatDay(`${placement.until}T12:00`)}`
  return placement.state === 'begins-later' ? `begins ${formatDay(`${placement.from}T12:00`)}` : ''
})
</script>

<template>
  <li :class="{ off: placement.state !== 'holds' || placement.title === null }">
    <div class="head">
      <b>{{ title }}</b>
      <small v-if="state" class="state">{{ state }}</small>
      <IconButton icon="times" :label="`Take ${title} out of the tier`" @click="emit('remove')" />
    </div>
    <PlacedWhen :of="title" :model-value="placement" @update:model-value="emit('change', $event)" />
  </li>
</template>

<style scoped>
li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
li:first-child {
  border-top: 0;
}
.off b {
  color: var(--quiet);
  font-weight: 500;
}
.head {
  display: flex;
  align-items: center;
  gap: 8px;
}
b {
  flex: 1;
  min-width: 0;
  font-size: 13.5px;
  font-weight: 600;
}
.state {
  color: var(--lamp-deep);
  white-space: nowrap;
}
</style>

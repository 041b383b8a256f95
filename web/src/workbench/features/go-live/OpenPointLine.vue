<script setup lang="ts">
import Button from 'primevue/button'
import type { OpenPoint } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import { placeOf } from './placesOfPoints'

/** One thing that is open, with the way to its place. */
const { point, site, search } = defineProps<{
  point: OpenPoint
  site: string
  search: string
  /** Who left it as it is; absent where nobody did. */
  by?: string
  since?: string
}>()
const emit = defineEmits<{ leave: [] }>()
const ICONS = { stops: 'pi-times-circle', fails: 'pi-exclamation-triangle', weakens: 'pi-info-circle' } as const
</script>

<template>
  <li :class="point.weight">
    <i class="pi" :class="ICONS[point.weight]" aria-hidden="true" />
    <div>
      <p>{{ point.text }}</p>
      <small v-if="by && since" class="quiet">Left by {{ by }}, {{ formatDay(since) }}</small>
      <span class="ways">
        <RouterLink :to="placeOf(point, site, search)">See to it</RouterLink>
        <Button
          v-if="point.weight !== 'stops'"
          :label="by ? 'Look at it again' : 'Leave it so'"
          link
          size="small"
          @click="emit('leave')"
        />
      </span>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 18px 1fr;
  gap: 8px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-left: 3px solid var(--edge);
  border-radius: 6px;
  background: #fff;
  overflow-wrap: anywhere;
}
li.stops,
li.fails {
  border-left-color: var(--bad);
}
li.stops .pi,
li.fails .pi {
  color: var(--bad);
}
li > .pi {
  margin-top: 3px;
}
p {
  margin: 0;
}
.ways {
  display: flex;
  gap: 14px;
  align-items: center;
}
small {
  display: block;
}
</style>

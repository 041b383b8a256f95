<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { OwnerChange } from '../../../shared/contract'
import { formatClock } from '../../kit/format'

/** One change: when, what became of it, by whom, and how it stands now. */
const { change } = defineProps<{ change: OwnerChange; busy: boolean; edits: boolean }>()
const emit = defineEmits<{ takeBack: [] }>()

const WHY_NOT: Record<Exclude<OwnerChange['standing'], 'stands'>, string> = {
  'as-before': 'It is as it was before that.',
  'changed-since': 'Changed again since.',
  // It is deleted in its own place.
  added: '',
}
const whyNot = computed(() => (change.standing === 'stands' ? '' : WHY_NOT[change.standing]))
</script>

<template>
  <li :class="{ over: change.standing === 'as-before' }">
    <time :datetime="change.changed">{{ formatClock(change.changed) }}</time>
    <div>
      <p>{{ change.told }}</p>
      <small class="quiet">by {{ change.by }}</small>
    </div>
    <Button
      v-if="change.standing === 'stands' && edits"
      label="Take back"
      icon="pi pi-undo"
      size="small"
      severity="secondary"
      outlined
      :disabled="busy"
      :aria-label="`Take back: ${change.told}`"
      @click="emit('takeBack')"
    />
    <small v-else class="quiet">{{ whyNot }}</small>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 72px 1fr auto;
  gap: 12px;
  align-items: center;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}
time {
  align-self: start;
  padding-top: 1px;
  color: var(--quiet);
  font-variant-numeric: tabular-nums;
}
p {
  margin: 0;
}
.over p {
  text-decoration: line-through;
  text-decoration-color: var(--edge);
}
</style>

<script setup lang="ts">
import type { Sync } from '../../../shared/contract'
import { counted, formatTime } from '../../kit/format'
import { RUN_STATES } from './sourceKinds'

/** The last runs of a source; one of them is shown. */
const { runs, shown } = defineProps<{ runs: readonly Sync[]; shown: number | undefined }>()
const emit = defineEmits<{ pick: [run: number] }>()
const MOST = 12
function line({ state, report }: Sync): string {
  const changes = counted(report.added + report.changed + report.removed, 'change')
  return state === 'done' ? `${RUN_STATES[state]}, ${changes}` : RUN_STATES[state]
}
</script>

<template>
  <h2>Runs</h2>
  <ul class="runs">
    <li v-for="run in runs.slice(0, MOST)" :key="run.id">
      <button type="button" :aria-current="shown === run.id ? 'true' : undefined" @click="emit('pick', run.id)">
        <span>{{ formatTime(run.begun) }}</span>
        <span class="quiet">{{ line(run) }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.runs {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
.runs button {
  display: grid;
  width: 100%;
  padding: 6px 8px;
  margin: 0 -8px;
  border: 0;
  border-radius: 6px;
  background: none;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
}
.runs button:hover {
  background: var(--leaf);
}
.runs [aria-current] {
  background: var(--sea-wash);
}
.runs span {
  font-size: 13px;
}
</style>

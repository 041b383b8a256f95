<script setup lang="ts">
import { computed } from 'vue'
import type { Split } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'

/** What visitors of both sides did, so that the two can be held against one another. */
const { split } = defineProps<{ split: Split }>()
const share = (part: number, whole: number) => (whole === 0 ? '–' : `${Math.round((100 * part) / whole)} %`)
const sides = computed(() => [
  { name: 'The draft', ...split.draft },
  { name: 'The live version', ...split.live },
])
/** Below this a share of one side says nothing yet. */
const FEW = 100
const isEarly = computed(() => Math.min(split.draft.asked, split.live.asked) < FEW)
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col"><span class="unseen">Side</span></th>
        <th scope="col">Asked</th>
        <th scope="col">Found nothing</th>
        <th scope="col">Results chosen</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="side in sides" :key="side.name">
        <th scope="row">{{ side.name }}</th>
        <td>{{ formatNumber(side.asked) }}</td>
        <td>
          {{ formatNumber(side.foundNothing) }}
          <small class="quiet">{{ share(side.foundNothing, side.asked) }}</small>
        </td>
        <td>
          {{ formatNumber(side.chose) }}
          <small class="quiet">{{ share(side.chose, side.asked) }}</small>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="isEarly" class="quiet">Fewer than {{ FEW }} questions on one side: too few to tell the two apart.</p>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13.5px;
}
th,
td {
  padding: 6px 8px 6px 0;
  border-bottom: 1px solid var(--line);
  text-align: right;
  vertical-align: baseline;
}
th:first-child {
  text-align: left;
}
thead th {
  font-weight: 600;
  color: #4f5d64;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { TrialsRun } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'

/** Figures over all trials, of the draft and of what is live. */
const { ran } = defineProps<{ ran: TrialsRun }>()
const sides = computed(() => [ran.draft, ...(ran.live ? [ran.live] : [])])
const share = (figure: number | null) => (figure === null ? '–' : figure.toFixed(2))
const FIGURES: readonly { name: string; what: string; of: (side: TrialsRun['draft']) => string }[] = [
  {
    name: 'Hold',
    what: 'How many trials are as you expect',
    of: side => `${formatNumber(side.hold)} of ${formatNumber(side.trials)}`,
  },
  {
    name: 'First wanted item',
    what: 'Mean reciprocal rank: 1 if every query has a wanted item first, 0.5 if second',
    of: side => share(side.meanReciprocalRank),
  },
  {
    name: 'Order of wanted items',
    what: 'nDCG@10: 1 if all wanted items stand first among the first ten, the most wanted before the others',
    of: side => share(side.ndcgAt10),
  },
]
</script>

<template>
  <table class="figures">
    <caption class="unseen">
      Figures over all trials
    </caption>
    <thead>
      <tr>
        <th scope="col"><span class="unseen">Figure</span></th>
        <th scope="col">Draft</th>
        <th v-if="ran.live" scope="col">Live</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="figure in FIGURES" :key="figure.name">
        <th scope="row">
          {{ figure.name }}
          <small class="quiet">{{ figure.what }}</small>
        </th>
        <td v-for="(side, n) in sides" :key="n" class="number" :class="{ quiet: n > 0 }">{{ figure.of(side) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 4px;
}
thead th {
  font-size: 12.5px;
  font-weight: 600;
  color: var(--quiet);
  text-align: end;
}
tbody th {
  text-align: start;
  font-weight: 600;
}
tbody th small {
  display: block;
  font-weight: 400;
  font-size: 12.5px;
}
th,
td {
  padding: 7px 0 7px 16px;
  border-bottom: 1px solid var(--line);
}
th:first-child {
  padding-left: 0;
}
td {
  width: 90px;
  text-align: end;
  font-weight: 650;
  white-space: nowrap;
}
</style>

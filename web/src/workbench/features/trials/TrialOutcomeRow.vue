<script setup lang="ts">
import { computed } from 'vue'
import type { TrialOutcome } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import IconButton from '../../kit/IconButton.vue'
import { became, expectation, shift } from './trials'

/** One trial with what draft and live version make of it. */
const { outcome } = defineProps<{ outcome: TrialOutcome }>()
const emit = defineEmits<{ ask: []; change: []; remove: [] }>()
const shifted = computed(() => shift(outcome))
function moved({ change, before, after }: TrialOutcome['moves'][number]): string {
  if (before !== null && after !== null) return `${change} from ${formatNumber(before)} to ${formatNumber(after)}`
  return before === null ? `found at ${formatNumber(after ?? 0)}` : `lost from ${formatNumber(before)}`
}
</script>

<template>
  <li class="outcome" :class="{ fails: !outcome.draft.holds }">
    <span class="mark">
      <i class="pi" :class="outcome.draft.holds ? 'pi-check-circle' : 'pi-times-circle'" aria-hidden="true" />
      <span class="unseen">{{ outcome.draft.holds ? 'Holds' : 'Fails' }}</span>
    </span>
    <span class="what">
      <button type="button" class="query" :title="`Ask “${outcome.trial.query}” on the stage`" @click="emit('ask')">
        {{ outcome.trial.query }}
      </button>
      <span class="quiet">{{ expectation(outcome.trial, outcome.title) }}</span>
    </span>
    <span class="sides">
      <span :class="{ bad: !outcome.draft.holds }">
        {{ became(outcome.trial, outcome.draft) }}
        <b v-if="shifted" class="shift" :title="shifted.said">{{ shifted.arrow }} {{ shifted.by }}</b>
      </span>
      <span v-if="outcome.live" class="quiet">
        live: {{ became(outcome.trial, outcome.live) }}{{ outcome.live.holds ? '' : ', fails' }}
      </span>
    </span>
    <span class="actions">
      <IconButton icon="pencil" :label="`Change the trial ${outcome.trial.query}`" @click="emit('change')" />
      <IconButton icon="times" :label="`Take away the trial ${outcome.trial.query}`" @click="emit('remove')" />
    </span>
    <details v-if="outcome.moves.length > 0">
      <summary>{{ counted(outcome.moves.length, 'item') }} of the first results moved</summary>
      <ol>
        <li v-for="move in outcome.moves" :key="`${move.item.collection}/${move.item.id}`">
          <span>{{ move.title }}</span>
          <span class="number" :class="move.change">{{ moved(move) }}</span>
        </li>
      </ol>
    </details>
  </li>
</template>

<style scoped>
.outcome {
  display: grid;
  grid-template-columns: 20px minmax(0, 1.2fr) minmax(0, 1fr) auto;
  gap: 2px 10px;
  align-items: start;
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
.mark {
  color: var(--good);
  padding-top: 2px;
}
.fails .mark,
.bad {
  color: var(--bad);
}
.what,
.sides {
  display: grid;
  gap: 1px;
  overflow-wrap: anywhere;
}
.query {
  justify-self: start;
  padding: 0;
  border: 0;
  background: none;
  font: inherit;
  font-weight: 650;
  color: var(--ink);
  cursor: pointer;
  text-align: start;
}
.query:hover {
  text-decoration: underline;
}
.shift {
  color: var(--lamp-deep);
  white-space: nowrap;
}
.actions {
  display: flex;
}
details {
  grid-column: 2 / -1;
  font-size: 13px;
}
summary {
  cursor: pointer;
  color: var(--sea);
  font-weight: 600;
}
ol {
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
ol li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 3px 0;
  border-top: 1px dashed var(--line);
}
.found,
.up {
  color: var(--good);
  font-weight: 600;
}
.lost,
.down {
  color: var(--bad);
  font-weight: 600;
}
</style>

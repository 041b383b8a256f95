<script setup lang="ts">
import { computed } from 'vue'
import type { Comparison } from '../../../shared/contract'
import { counted } from '../../kit/format'

/** What becomes of visitors' most frequent queries from one design to another. */
const { compared } = defineProps<{ compared: Comparison }>()
const MOST_LISTED = 8
const MOVES = { found: 'comes', lost: 'goes', up: 'rises', down: 'falls' }
const summed = computed(() => {
  const { queries, changed, lost } = compared
  if (queries === 0) return 'Visitors have asked nothing yet, so nobody can say what becomes of their queries.'
  if (changed.length === 0) return `The first page of none of ${counted(queries, 'query', 'queries')} is another.`
  const pages = `${changed.length} of ${counted(queries, 'query', 'queries')} have another first page`
  return lost === 0
    ? `${pages}; no result goes.`
    : `${pages}; ${counted(lost, 'result')} of them ${lost === 1 ? 'is' : 'are'} not found any more.`
})
type Changed = Comparison['changed'][number]
const line = ({ before, after, moves }: Changed) =>
  [
    before === after ? counted(after, 'result') : `${before} before, ${after} after`,
    ...moves.slice(0, 3).map(move => `“${move.title}” ${MOVES[move.change]}`),
    ...(moves.length > 3 ? [`${moves.length - 3} more move`] : []),
  ].join(' · ')
</script>

<template>
  <p>{{ summed }}</p>
  <ul v-if="compared.changed.length > 0" class="entries">
    <li v-for="one in compared.changed.slice(0, MOST_LISTED)" :key="one.query">
      <span>
        <b>{{ one.query }}</b>
        <small class="quiet">{{ line(one) }}</small>
      </span>
    </li>
  </ul>
  <p v-if="compared.changed.length > MOST_LISTED" class="quiet">
    and {{ counted(compared.changed.length - MOST_LISTED, 'query', 'queries') }} more
  </p>
</template>

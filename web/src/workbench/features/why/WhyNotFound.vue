<script setup lang="ts">
import Button from 'primevue/button'
import type { Explanation, Remedy, SearchDesign } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { cureSaid, reasonSaid, type Names } from './whySaid'

/** Every reason that keeps an item out of a query, and what would mend it. */
const { why } = defineProps<{
  why: Explanation
  names: Names
  /** Whether the draft is asked, which can be changed. */
  isDraft: boolean
}>()
const emit = defineEmits<{ mend: [design: SearchDesign] }>()
function effect(remedy: Remedy): string {
  const place = remedy.place ? `then place ${formatNumber(remedy.place)}` : 'then other reasons remain'
  return `${place} · ${counted(remedy.total, 'result')} instead of ${formatNumber(why.total)}`
}
</script>

<template>
  <p class="verdict" role="status">
    <i class="pi pi-minus-circle" aria-hidden="true" />
    <span>
      <b>Not found.</b>
      {{ why.reasons.length === 1 ? 'This is why:' : 'All of this keeps it out:' }}
    </span>
  </p>
  <section v-for="(reason, n) in why.reasons" :key="n" class="reason" :aria-label="reasonSaid(reason, names)">
    <p>{{ reasonSaid(reason, names) }}</p>
    <ul>
      <li v-for="remedy in reason.remedies" :key="remedy.cure + remedy.field">
        <Button
          :label="cureSaid(remedy, names)"
          size="small"
          severity="secondary"
          outlined
          :disabled="!isDraft"
          @click="emit('mend', remedy.after)"
        />
        <small class="quiet">{{ effect(remedy) }}</small>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
.reason {
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
.reason li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  margin-top: 6px;
}
</style>

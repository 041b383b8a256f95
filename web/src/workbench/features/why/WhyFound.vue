<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Explanation, ReachRule } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { movedSaid, WAYS, type Names } from './whySaid'

/** Where an item is found, which word gave what, and what would leave it out. */
const { why, names } = defineProps<{
  why: Explanation
  names: Names
  /** Whether the draft is asked, which can be changed. */
  isDraft: boolean
}>()
const emit = defineEmits<{ leaveOut: [rule: ReachRule] }>()
/** What else than the order's keys moves it. */
const moved = computed(() => movedSaid(why.standing))
const LEAST_SHARE = 2
const share = (gives: number) =>
  `${Math.max(LEAST_SHARE, Math.round((gives / Math.max(why.score, Number.EPSILON)) * 100))}%`
function leavingSaid({ rule, name }: Explanation['leavings'][number]): string {
  if (rule.item) return 'This item'
  return rule.author ? `Author ${name}` : `${names.field(rule.field ?? '')} ${name}`
}
</script>

<template>
  <p class="verdict hit" role="status">
    <i class="pi pi-check-circle" aria-hidden="true" />
    <span>
      <b>Found at place {{ formatNumber(why.place ?? 0) }}</b>
      of {{ counted(why.total, 'result') }}, on page {{ why.page }}.
    </span>
  </p>
  <p v-if="moved" class="moved">
    <i class="pi pi-star" aria-hidden="true" />
    {{ moved }}
  </p>
  <p v-if="why.startingList" class="quiet">Too little is typed to search, so everything is shown.</p>
  <div v-for="word in why.words" :key="word.word" class="word">
    <h3>
      {{ word.word }}
      <small class="quiet number">{{ word.gives.toFixed(2) }}</small>
    </h3>
    <p v-if="word.fields.length === 0" class="quiet">It does not hold this word, and needs not.</p>
    <ul>
      <li v-for="field in word.fields" :key="field.field">
        <span>
          <b>{{ names.field(field.field) }}</b>{{ ' ' }}
          <span class="quiet">
            {{ WAYS[field.way] }}{{ field.met.length > 0 ? `: ${field.met.join(', ')}` : ', among your keywords' }}
          </span>
        </span>
        <span class="number">{{ field.gives.toFixed(2) }}</span>
        <span class="bar" aria-hidden="true"><i :style="{ width: share(field.gives) }" /></span>
      </li>
    </ul>
  </div>
  <p v-if="!why.startingList" class="sum">
    Together
    <b class="number">{{ why.score.toFixed(2) }}</b>, which sets its place.
  </p>
  <h3 class="second">Should it not be there?</h3>
  <ul class="leavings">
    <li v-for="leaving in why.leavings" :key="JSON.stringify(leaving.rule)">
      <span>
        {{ leavingSaid(leaving) }}
        <small class="quiet">{{ counted(leaving.items, 'item') }} would go</small>
      </span>
      <Button
        label="Leave out"
        size="small"
        severity="secondary"
        outlined
        :disabled="!isDraft"
        :aria-label="`Leave out ${leaving.rule.item ? 'this item' : leaving.name}`"
        @click="emit('leaveOut', leaving.rule)"
      />
    </li>
  </ul>
</template>

<style scoped>
.moved {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-bottom: 12px;
}
.moved .pi {
  color: var(--lamp-deep);
}
.word h3 {
  display: flex;
  justify-content: space-between;
  margin-top: 12px;
  font-family: inherit;
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
.word li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
  font-size: 14px;
  overflow-wrap: anywhere;
}
.bar {
  grid-column: 1 / -1;
  height: 4px;
  border-radius: 2px;
  background: var(--line);
}
.bar i {
  display: block;
  height: 4px;
  border-radius: 2px;
  background: var(--lamp);
}
.sum {
  margin-top: 12px;
  padding-top: 8px;
  border-top: 2px solid var(--line);
}
.second {
  margin-top: 20px;
}
.leavings li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
  font-size: 14px;
}
.leavings small {
  display: block;
}
</style>

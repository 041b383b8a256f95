<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { FilterProposal } from '../../../shared/contract'
import { counted } from '../../kit/format'
import { contentOf } from './filterLines'
import { CONTROL_NAMES, controlOf } from './filters'

/** Fields by which visitors could narrow, and cannot yet. */
const { proposals } = defineProps<{ proposals: readonly FilterProposal[] }>()
const emit = defineEmits<{ add: [proposal: FilterProposal] }>()
/** Those by which several items are found at once, and the others. */
const groups = computed(() => [
  { proposals: proposals.filter(one => !one.says.nearlyUnique), isUnique: false },
  { proposals: proposals.filter(one => one.says.nearlyUnique), isUnique: true },
])
const line = (proposal: FilterProposal) =>
  [
    ...(proposal.says.nearlyUnique ? [] : [CONTROL_NAMES[controlOf(proposal.filter.source)]]),
    contentOf(proposal),
    counted(proposal.says.items, 'item'),
    ...(proposal.says.nearlyUnique ? [] : [proposal.collections.join(', ')]),
  ].join(' · ')
</script>

<template>
  <h2 class="second">Add a filter</h2>
  <component :is="group.isUnique ? 'details' : 'div'" v-for="group in groups" :key="String(group.isUnique)">
    <template v-if="group.isUnique && group.proposals.length > 0">
      <summary>{{ counted(group.proposals.length, 'field') }} in which most items have a value of their own</summary>
      <p class="quiet">Visitors who narrow by one of these find one item at most. Words find it as well.</p>
    </template>
    <ul
      v-if="group.proposals.length > 0"
      class="entries"
      :aria-label="group.isUnique ? 'Add a filter of values that hardly recur' : 'Add a filter'"
    >
      <li v-for="proposal in group.proposals" :key="proposal.field">
        <span>
          <b>{{ proposal.label }}</b>
          <small class="quiet">{{ line(proposal) }}</small>
        </span>
        <Button
          label="Add"
          size="small"
          severity="secondary"
          :outlined="!group.isUnique"
          :text="group.isUnique"
          :aria-label="`Add ${proposal.label}`"
          @click="emit('add', proposal)"
        />
      </li>
    </ul>
  </component>
</template>

<style scoped>
.second {
  margin: 24px 0 0;
}
details {
  margin-top: 12px;
}
summary {
  cursor: pointer;
}
p {
  margin: 6px 0;
}
b {
  font-weight: 600;
  overflow-wrap: anywhere;
}
</style>

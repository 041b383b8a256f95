<script setup lang="ts">
import Button from 'primevue/button'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref } from 'vue'
import type { CollectionShape, ReachCounts, ReachRule, Searched } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { withRule, type Listed, type RulePart } from './reach'
import RuleForm from './RuleForm.vue'
import SearchedRules from './SearchedRules.vue'

/** One collection of the site: whether it is searched, by which rules, and how many of its items can be found. */
const { collection, searched, counts, said } = defineProps<{
  site: string
  collection: CollectionShape
  /** How it is searched; undefined where it is not. */
  searched: Searched | undefined
  /** Undefined while nobody knows. */
  counts: ReachCounts['collections'][number] | undefined
  /** A rule in words. */
  said: (rule: ReachRule) => string
}>()
const emit = defineEmits<{
  turn: [isSearched: boolean]
  rules: [part: RulePart, rules: ReachRule[]]
  list: [listed: Omit<Listed, 'collection'>]
}>()
const isAdding = ref(false)
const found = computed(() => counts?.inReach ?? collection.items)
const missed = computed(() => (counts ? collection.items - counts.inReach : 0))
const hasRules = computed(
  () => searched !== undefined && (searched.only.length + searched.leaveOut.length > 0 || Boolean(counts?.keptOut)),
)
function add(part: RulePart, rule: ReachRule) {
  emit('rules', part, withRule(searched?.[part] ?? [], rule))
  isAdding.value = false
}
</script>

<template>
  <li class="slip">
    <div class="head">
      <label :for="`reach-${collection.key}`">
        <b>{{ collection.label }}</b>
      </label>
      <template v-if="searched">
        <button
          type="button"
          class="count-button"
          :title="`List the items of ${collection.label} that can be found`"
          @click="emit('list', { which: 'found', rule: 0, title: `${collection.label} that can be found` })"
        >
          {{ formatNumber(found) }}
        </button>
        <small class="quiet">of {{ counted(collection.items, 'item') }}</small>
      </template>
      <small v-else class="quiet">{{ counted(collection.items, 'item') }}, not searched</small>
      <span class="grow" />
      <ToggleSwitch
        :input-id="`reach-${collection.key}`"
        :model-value="searched !== undefined"
        :aria-label="`Search ${collection.label}`"
        @update:model-value="emit('turn', $event)"
      />
    </div>
    <template v-if="searched">
      <SearchedRules
        v-if="hasRules"
        :searched="searched"
        :counts="counts"
        :kept-out="counts?.keptOut ?? 0"
        :said="said"
        @rules="(part, rules) => emit('rules', part, rules)"
        @list="emit('list', $event)"
      />
      <RuleForm v-if="isAdding" :site="site" :collection="collection" @add="add" @close="isAdding = false" />
      <div v-else class="ways">
        <Button
          label="Add a rule"
          icon="pi pi-plus"
          text
          size="small"
          :aria-label="`Add a rule for ${collection.label}`"
          @click="isAdding = true"
        />
        <button
          v-if="missed > 0"
          type="button"
          class="count-button plain"
          @click="emit('list', { which: 'not-found', rule: 0, title: `${collection.label} that cannot be found` })"
        >
          {{ counted(missed, 'item') }} cannot be found
        </button>
      </div>
    </template>
  </li>
</template>

<style scoped>
.slip {
  padding: 10px 16px;
}
.head {
  display: flex;
  align-items: baseline;
  gap: 6px;
  flex-wrap: wrap;
}
.head label {
  cursor: pointer;
  margin-inline-end: 4px;
}
.head small {
  font-size: 13px;
}
.head :deep(.p-toggleswitch) {
  align-self: center;
}
.count-button.plain {
  border: 0;
  background: none;
  font-weight: 600;
}
.count-button.plain:hover {
  text-decoration: underline;
}
.ways {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin: 4px 0 -4px -10px;
}
</style>

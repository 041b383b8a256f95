<script setup lang="ts">
import type { ReachCounts, ReachRule, Searched } from '../../../shared/contract'
import { counted } from '../../kit/format'
import IconButton from '../../kit/IconButton.vue'
import { RULE_PARTS, type Listed, type RulePart } from './reach'

/** The rules by which items of a collection are let in or left out, each with how many it takes. */
const { searched, counts } = defineProps<{
  searched: Searched
  /** Undefined while nobody knows. */
  counts: ReachCounts['collections'][number] | undefined
  /** How many items are kept out whatever the rules say. */
  keptOut: number
  /** A rule in words. */
  said: (rule: ReachRule) => string
}>()
const emit = defineEmits<{
  rules: [part: RulePart, rules: ReachRule[]]
  list: [listed: Omit<Listed, 'collection'>]
}>()
/**
 * Counts stand in the order of the design that they were made from; a moment after a rule was added there is none for
 * it yet.
 */
function countOf(part: RulePart, rule: number): number | undefined {
  const known = counts?.[part]
  return known?.length === searched[part].length ? known?.[rule] : undefined
}
const remove = (part: RulePart, rule: ReachRule) =>
  emit(
    'rules',
    part,
    searched[part].filter(one => one !== rule),
  )
</script>

<template>
  <ul class="rules">
    <template v-for="{ part, which, word } in RULE_PARTS" :key="part">
      <li v-for="(rule, n) in searched[part]" :key="JSON.stringify(rule)" :class="part">
        <span class="word">{{ word }}</span>
        <span class="what">{{ said(rule) }}</span>
        <button
          type="button"
          class="count-button"
          title="List the items that this rule takes"
          @click="emit('list', { which, rule: n, title: `${word} ${said(rule)}` })"
        >
          {{ countOf(part, n) ?? '…' }}
        </button>
        <IconButton icon="times" :label="`Take away the rule ${word} ${said(rule)}`" @click="remove(part, rule)" />
      </li>
    </template>
    <li v-if="keptOut" class="quiet">{{ counted(keptOut, 'item') }} kept out of every search</li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
}
.rules {
  margin-top: 8px;
  border-top: 1px solid var(--line);
}
.rules li {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 36px;
  border-bottom: 1px solid var(--line);
  font-size: 14px;
}
.word {
  font-size: 12.5px;
  font-weight: 650;
  color: #225c3a;
  white-space: nowrap;
}
.leaveOut .word {
  color: var(--bad);
}
.what {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
</style>

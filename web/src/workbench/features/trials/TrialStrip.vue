<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { TrialOutcome } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import { expectation, shift, useTrials } from './trials'
import { useAttempt } from '../../kit/useAttempt'

/** The trials at a glance, under the stage: which hold, and what the draft does to each. */
const { site, search, typed } = defineProps<{ site: string; search: string; typed: string }>()
const emit = defineEmits<{ ask: [query: string] }>()
const router = useRouter()
const SHOWN = 8
const { ran, failing, again } = useTrials(() => search)
/** Those that fail first, then those that the draft moves. */
const outcomes = computed(() => {
  const rank = (outcome: TrialOutcome) => (!outcome.draft.holds ? 0 : shift(outcome) ? 1 : 2)
  return [...(ran.value?.outcomes ?? [])].sort((a, b) => rank(a) - rank(b))
})
const query = computed(() => typed.trim())
const place = computed(() => `/${site}/searches/${search}/trials`)
const { busy, wrong, attempt } = useAttempt()
const WITHIN = 3

/**
 * Keeps what is on the stage: its first item is to stay among the first. Where nothing is found, the owner says what
 * should be.
 */
const keep = () =>
  attempt(async () => {
    const found = await api.draftResults(search, query.value)
    const first = found.hits[0]
    if (first === undefined || found.startingList) {
      await router.push({ path: place.value, query: { q: query.value } })
      return
    }
    await api.addTrial(search, {
      query: query.value,
      expects: 'within',
      collection: first.collection,
      item: first.id,
      number: WITHIN,
      suggestion: null,
    })
    await again()
  })
</script>

<template>
  <section class="strip" aria-label="Trials at a glance">
    <RouterLink :to="place" class="name">Trials</RouterLink>
    <div class="chips">
      <button
        v-for="outcome in outcomes.slice(0, SHOWN)"
        :key="outcome.id"
        type="button"
        class="trial"
        :class="{ fails: !outcome.draft.holds }"
        :title="`${expectation(outcome.trial, outcome.title)}${shift(outcome) ? ` · ${shift(outcome)!.said}` : ''}`"
        @click="emit('ask', outcome.trial.query)"
      >
        <i class="pi" :class="outcome.draft.holds ? 'pi-check' : 'pi-times'" aria-hidden="true" />
        <span class="unseen">{{ outcome.draft.holds ? 'holds:' : 'fails:' }}</span>
        <span class="query">{{ outcome.trial.query }}</span>
        <span v-if="shift(outcome)" class="shift">
          <span aria-hidden="true">{{ shift(outcome)!.arrow }} {{ shift(outcome)!.by }}</span>
          <span class="unseen">{{ shift(outcome)!.said }}</span>
        </span>
      </button>
    </div>
    <button
      v-if="query"
      type="button"
      class="trial keep"
      :disabled="busy"
      title="The first result is to stay among the first three"
      @click="keep"
    >
      + keep “{{ query }}”
    </button>
    <RouterLink
      v-if="ran && ran.outcomes.length > 0"
      :to="place"
      class="sum number"
      :class="{ bad: failing.length > 0 }"
    >
      {{ formatNumber(ran.draft.hold) }} of {{ formatNumber(ran.draft.trials) }} hold
    </RouterLink>
    <span v-else-if="!query" class="quiet hint">
      Type on the stage, then keep the query here: it is tried on every change.
    </span>
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
    <span class="unseen" role="status">
      {{ ran && failing.length > 0 ? `${counted(failing.length, 'trial')} failing` : '' }}
    </span>
  </section>
</template>

<style scoped>
.strip {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 48px;
  margin: 0 -16px;
  padding: 6px 16px;
  background: var(--leaf);
  border-top: 1px solid var(--line);
}
.name {
  font-weight: 650;
  color: var(--ink);
  text-decoration: none;
}
.name:hover,
.sum:hover {
  text-decoration: underline;
}
.chips {
  display: flex;
  flex: 0 1 auto;
  flex-wrap: wrap;
  gap: 8px;
  height: 34px;
  overflow: hidden;
  min-width: 0;
}
.trial {
  display: inline-flex;
  align-items: center;
  gap: 7px;
  height: 32px;
  margin: 1px 0;
  padding: 0 12px;
  border: 1px solid var(--line);
  border-radius: 17px;
  background: var(--card);
  font: inherit;
  font-size: 13.5px;
  color: var(--ink);
  cursor: pointer;
  max-width: 190px;
  white-space: nowrap;
}
.trial:hover {
  border-color: var(--edge);
}
.trial .query {
  overflow: hidden;
  text-overflow: ellipsis;
}
.trial .pi {
  font-size: 11px;
  font-weight: 700;
  color: var(--good);
}
.fails {
  background: var(--bad-wash);
  border-color: #e3b3ad;
}
.fails .pi {
  color: var(--bad);
}
.shift {
  color: var(--lamp-deep);
  font-weight: 650;
}
.keep {
  flex: none;
  color: var(--sea);
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
.sum {
  margin-inline-start: auto;
  white-space: nowrap;
  color: var(--quiet);
  text-decoration: none;
}
.sum.bad {
  color: var(--bad);
  font-weight: 600;
}
.hint {
  font-size: 13px;
}
</style>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { CollectionShape, SearchDesign, SearchSummary } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import { useTrials } from '../trials/trials'
import { PATH_LINES } from './pathLines'
import { steps, TRIALS, type ViewKey } from './steps'

/** The steps of a search as a path, each with a line about what is decided or open there; trials stand beside it. */
const { design, search, summary, collections } = defineProps<{
  site: string
  search: string
  here: ViewKey
  design: SearchDesign
  summary: SearchSummary | null
  collections: readonly CollectionShape[]
}>()

const { data: counts } = useQuery({ queryKey: ['reach', () => search], queryFn: () => api.reach(search), staleTime: 0 })

const { ran } = useTrials(() => search)
const trials = computed(() =>
  !ran.value
    ? '…'
    : ran.value.draft.trials === 0
      ? 'None yet'
      : `${formatNumber(ran.value.draft.hold)} of ${formatNumber(ran.value.draft.trials)} hold`,
)
/** One line of truth a step: what is decided there, or what is open. */
const path = computed(() =>
  steps.map(step => {
    const open = (summary?.remarks ?? []).filter(remark => remark.step === step.remarks)
    const settled =
      open.length === 0 && (step.key !== 'go-live' || Boolean(summary?.live && summary.differences.length === 0))
    return {
      ...step,
      settled,
      line:
        open.length > 0
          ? `${counted(open.length, 'thing')} to look at`
          : PATH_LINES[step.key]({ design, summary, collections, counts: counts.value }),
    }
  }),
)
</script>

<template>
  <nav class="path" aria-label="Steps of this search">
    <ol>
      <li v-for="step in path" :key="step.key" :class="{ settled: step.settled }">
        <RouterLink
          :to="`/${site}/searches/${search}/${step.key}`"
          :aria-current="step.key === here ? 'step' : undefined"
        >
          <span class="lamp" aria-hidden="true" />
          <span class="words">
            <b>{{ step.name }}</b>
            <span class="unseen">{{ step.settled ? ', settled:' : ', open:' }}</span>
            <small>{{ step.line }}</small>
          </span>
        </RouterLink>
      </li>
    </ol>
    <div class="beside">
      <RouterLink :to="`/${site}/searches/${search}/${TRIALS}`" :aria-current="here === TRIALS ? 'page' : undefined">
        <i class="pi pi-check-square" aria-hidden="true" />
        <span class="words">
          <b>Trials</b>
          <small>{{ trials }}</small>
        </span>
      </RouterLink>
    </div>
    <p class="keys quiet">
      <kbd>[</kbd>{{ ' ' }}
      <kbd>]</kbd>
      walk the path
    </p>
  </nav>
</template>

<style scoped>
.path {
  display: flex;
  flex-direction: column;
  padding: 16px 12px;
  overflow-y: auto;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  position: relative;
}
li:not(:last-child)::after {
  content: '';
  position: absolute;
  left: 17px;
  top: 36px;
  bottom: -12px;
  width: 2px;
  background: var(--line);
}
a {
  display: grid;
  grid-template-columns: 20px 1fr;
  gap: 10px;
  padding: 9px 10px 10px 8px;
  margin-bottom: 4px;
  border-radius: 9px;
  color: inherit;
  text-decoration: none;
}
a:hover {
  background: #fffdf8;
}
a[aria-current] {
  background: var(--card);
  box-shadow:
    0 0 0 1px var(--line),
    0 2px 6px rgb(27 42 51 / 8%);
}
b {
  display: block;
  font-weight: 600;
}
a[aria-current] b {
  color: var(--sea-deep);
}
small {
  display: block;
  color: var(--quiet);
  font-size: 12.5px;
  line-height: 1.35;
}
.lamp {
  z-index: 1;
  width: 14px;
  height: 14px;
  margin: 3px;
  border: 2px solid var(--edge);
  border-radius: 50%;
  background: var(--paper);
}
.settled .lamp {
  background: var(--lamp);
  border-color: var(--lamp-deep);
  box-shadow: 0 0 0 3px #f0a93a38;
}
/* Beside the path and no step of it: a line of its own, without a lamp. */
.beside {
  margin-top: 12px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
.beside .pi {
  margin: 4px 3px;
  color: var(--quiet);
  font-size: 14px;
}
.keys {
  margin-top: auto;
  padding: 12px 8px 0;
  font-size: 12.5px;
}
@media (max-width: 1080px) {
  .words,
  .keys {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  a {
    padding: 8px;
  }
  .path {
    padding: 16px 10px;
  }
}
@media (max-width: 760px) {
  ol {
    display: flex;
  }
  li:not(:last-child)::after {
    display: none;
  }
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Explanation, NamedItem, Trial } from '../../../shared/contract'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import { expectation, useTrials } from '../trials/trials'

/** Keeps what is asked as a trial: the item no further down than about where it is. */
const { search, query, item, why } = defineProps<{
  search: string
  query: string
  item: NamedItem
  why: Explanation
}>()
const { ran, again } = useTrials(() => search)
const { busy, wrong, attempt } = useAttempt()
const PLACES = [1, 3, 10, 20, 50, 100]
const FIRST_PAGE = 10
/** One that is not found is expected on the first page. */
const trial = computed<Trial>(() => {
  const place = why.place ?? FIRST_PAGE
  return {
    query: query.trim(),
    expects: 'within',
    collection: item.collection,
    item: item.id,
    number: PLACES.find(first => place <= first) ?? PLACES.at(-1)!,
    suggestion: null,
  }
})
const isKept = computed(
  () =>
    ran.value?.outcomes.some(
      ({ trial: kept }) =>
        kept.query === trial.value.query &&
        kept.collection === trial.value.collection &&
        kept.item === trial.value.item,
    ) ?? false,
)
const keep = () =>
  attempt(async () => {
    await api.addTrial(search, trial.value)
    await again()
  })
</script>

<template>
  <div class="trial">
    <span v-if="isKept" class="quiet">
      <i class="pi pi-check" aria-hidden="true" />
      A trial of this is kept.
    </span>
    <template v-else>
      <Button
        label="Keep as a trial"
        icon="pi pi-check-square"
        size="small"
        severity="secondary"
        outlined
        :loading="busy"
        @click="keep"
      />
      <small class="quiet">{{ expectation(trial, item.title) }}, on every change from now on</small>
    </template>
    <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
  </div>
</template>

<style scoped>
.trial {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  margin-top: 16px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { SearchSummary } from '../../../shared/contract'
import { formatTime, localTime } from '../../kit/format'
import NumberField from '../../kit/NumberField.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import EarlyLookWay from './EarlyLookWay.vue'
import SideFigures from './SideFigures.vue'

/** The draft for a share of visitors, for a while, with what both sides do. */
const { search, summary, settle } = defineProps<{
  search: string
  summary: SearchSummary | null
  settle: () => Promise<string | null>
}>()
const queries = useQueryClient()
const { data: split } = useQuery({
  queryKey: ['split', () => search],
  queryFn: () => api.split(search),
  staleTime: 0,
  refetchInterval: 20_000,
})
const WEEK_MS = 7 * 24 * 60 * 60 * 1000
const percent = ref(10)
const ends = ref(localTime(new Date(Date.now() + WEEK_MS)))
const { busy, wrong, attempt } = useAttempt()
const again = () => queries.invalidateQueries({ queryKey: ['split', search] })
async function begin() {
  if ((await settle()) === null) {
    wrong.value = 'The last change is not kept, so it cannot be shown. Try it again.'
    return
  }
  await attempt(async () => {
    await api.beginSplit(search, { percent: percent.value, ends: new Date(ends.value).toISOString() })
    await again()
  })
}
const end = () =>
  attempt(async () => {
    await api.endSplit(search)
    await again()
  })
const canBegin = computed(() => Boolean(summary?.live) && ends.value !== '')
</script>

<template>
  <EarlyLookWay name="To a share of visitors">
    <template v-if="split">
      <p v-if="split.running">
        {{ split.percent }} % of the visitors meet the draft as it was {{ formatTime(split.begun) }}, until
        {{ formatTime(split.ends) }}.
      </p>
      <p v-else class="quiet">
        The last time, until {{ formatTime(split.ends) }}, {{ split.percent }} % of the visitors met a draft.
      </p>
      <SideFigures :split="split" />
    </template>
    <Button
      v-if="split?.running"
      label="End it now"
      size="small"
      severity="secondary"
      outlined
      :loading="busy"
      @click="end"
    />
    <template v-else>
      <p class="quiet">
        Each browser draws its side once, by itself, and keeps to it. Later changes of the draft do not reach them; a
        publication ends it.
      </p>
      <form @submit.prevent="begin">
        <NumberField v-model="percent" label="Share of the visitors" :min="1" :max="99" unit="%" />
        <div class="field">
          <label for="share-ends">Until</label>
          <InputText id="share-ends" v-model="ends" type="datetime-local" size="small" :min="localTime(new Date())" />
        </div>
        <Button
          type="submit"
          label="Show it to them"
          severity="secondary"
          outlined
          :disabled="!canBegin"
          :loading="busy"
        />
      </form>
      <p v-if="!summary?.live" class="quiet">Once a version is live, there are two sides to draw.</p>
    </template>
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  </EarlyLookWay>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
  justify-items: start;
}
</style>

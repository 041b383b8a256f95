<script setup lang="ts">
import { useDesignRules } from '../design-rules/useDesignRules'
import { useQuery } from '@tanstack/vue-query'
import InputNumber from 'primevue/inputnumber'
import { computed, useId } from 'vue'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'

/** How much of the first page is featured, query by query, against what the owner thinks is enough. */
const { search } = defineProps<{ search: string }>()
const emit = defineEmits<{ ask: [query: string] }>()
const limit = defineModel<number>({ required: true })
const id = useId()
const { data } = useQuery({
  queryKey: ['reach', () => search, 'featured-share'],
  queryFn: () => api.featuredShare(search),
  staleTime: 0,
})
const share = (one: { onPage: number; featured: number }) =>
  one.onPage === 0 ? 0 : Math.round((one.featured / one.onPage) * 100)
const rows = computed(() =>
  [...(data.value ?? [])]
    .map(one => ({ ...one, share: share(one) }))
    .sort((a, b) => b.share - a.share || b.featured - a.featured),
)
const over = computed(() => rows.value.filter(one => one.share > limit.value).length)
const SHOWN = 12
const rules = useDesignRules()
</script>

<template>
  <div class="limit">
    <label :for="id">Warn where more of the first page is featured than</label>
    <InputNumber
      v-model="limit"
      :input-id="id"
      :min="0"
      :max="rules.limit('ranking.order.mostFeatured')?.most"
      suffix=" %"
      size="small"
      class="percent"
    />
  </div>
  <p v-if="data" class="remark" :class="{ calm: over === 0 }" role="status">
    <i class="pi" :class="over === 0 ? 'pi-check' : 'pi-exclamation-triangle'" aria-hidden="true" />
    {{
      over === 0
        ? rows.length === 1
          ? 'The starting list is not over it. What trials and visitors ask is looked at too, once there is something.'
          : `No query is over it: the starting list and ${counted(rows.length - 1, 'query', 'queries')} of trials and visitors were asked.`
        : `${counted(over, 'query', 'queries')} of ${formatNumber(rows.length)} ${over === 1 ? 'is' : 'are'} over it. Visitors stop trusting a list that is for sale.`
    }}
  </p>
  <ul v-if="rows.length > 0">
    <li v-for="one in rows.slice(0, SHOWN)" :key="one.query" :class="{ over: one.share > limit }">
      <button type="button" @click="emit('ask', one.query)">
        {{ one.query === '' ? 'Nothing typed' : one.query }}
      </button>
      <small class="quiet">{{ one.query === '' ? '' : one.trial ? 'a trial' : 'asked often' }}</small>
      <span class="bar" aria-hidden="true"><i :style="{ width: `${one.share}%` }" /></span>
      <span class="number">{{ one.featured }} of {{ one.onPage }}</span>
    </li>
  </ul>
  <p v-if="rows.length > SHOWN" class="quiet">And {{ formatNumber(rows.length - SHOWN) }} more with less.</p>
</template>

<style scoped>
.limit {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  font-size: 13.5px;
}
.percent :deep(input) {
  width: 72px;
}
.remark {
  margin-top: 10px;
  font-size: 13.5px;
}
.remark.calm {
  background: #e6f1ea;
  color: #225c3a;
}
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 70px 54px;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
  font-size: 13.5px;
}
li button {
  min-width: 0;
  padding: 3px 0;
  border: 0;
  background: none;
  font: inherit;
  color: var(--sea);
  text-align: start;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
li button:hover {
  text-decoration: underline;
}
li button:focus-visible {
  outline: 2px solid var(--sea);
}
.bar {
  height: 6px;
  border-radius: 3px;
  background: var(--line);
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--lamp);
}
.over .bar i {
  background: var(--bad);
}
.over .number {
  color: var(--bad);
  font-weight: 600;
}
.number {
  text-align: end;
  white-space: nowrap;
}
</style>

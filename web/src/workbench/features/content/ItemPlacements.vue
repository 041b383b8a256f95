<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { PlacementShape } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** The tiers that an item holds by hand; nothing where it holds none. */
const { site, collection, id } = defineProps<{ site: string; collection: string; id: string }>()
const queries = useQueryClient()
const { data: placements } = useQuery({
  queryKey: ['placements', () => site],
  queryFn: () => api.placements(site),
  staleTime: 0,
})
const placed = computed(() =>
  (placements.value ?? []).filter(one => one.item.collection === collection && one.item.id === id),
)
const day = (of: string | null) => formatDay(`${of}T12:00`)
function state(one: PlacementShape): string {
  if (one.state === 'ended') return `ended ${day(one.until)}`
  if (one.state === 'begins-later') return `begins ${day(one.from)}`
  return one.until === null ? 'for good' : `until ${day(one.until)}`
}
const when = (one: PlacementShape) => (one.place === null ? state(one) : `place ${one.place}, ${state(one)}`)
const { wrong, attempt } = useAttempt()
const take = (one: PlacementShape) =>
  attempt(async () => queries.setQueryData(['placements', site], await api.unplace(site, [one.item], one.tier)))
</script>

<template>
  <section v-if="placed.length > 0" class="slip" aria-labelledby="placed">
    <h2 id="placed">Featured by hand</h2>
    <ul class="item-lines">
      <li v-for="one in placed" :key="one.tier">
        <i class="pi pi-star" aria-hidden="true" />
        <div>
          <b>Tier “{{ one.tier }}”</b>
          <small>{{ when(one) }}</small>
        </div>
        <Button
          label="Take out"
          text
          size="small"
          severity="secondary"
          :aria-label="`Take out of the tier ${one.tier}`"
          @click="take(one)"
        />
      </li>
    </ul>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </section>
</template>

<style scoped>
.slip {
  padding: 16px 20px;
  display: grid;
  gap: 12px;
}
.pi-star {
  color: var(--lamp-deep);
}
</style>

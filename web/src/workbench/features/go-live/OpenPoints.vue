<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { OpenPoint } from '../../../shared/contract'
import LoadFailure from '../../kit/LoadFailure.vue'
import { counted } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import OpenPointLine from './OpenPointLine.vue'

/** Everything that is open in a search, worst first: each leads to its place, or is left as it is. */
const { site, search } = defineProps<{ site: string; search: string }>()
const queries = useQueryClient()
const key = computed(() => ['search', search, 'open-points'])
const {
  data: points,
  error,
  refetch,
} = useQuery({ queryKey: key, queryFn: () => api.openPoints(search), staleTime: 0 })
const open = computed(() => (points.value ?? []).filter(one => one.by === null))
const WEIGHTS = {
  stops: 'It cannot be published with this',
  fails: 'Visitors meet this',
  weakens: 'This could be better',
} as const
/** More of one weight than these are asked for. */
const FIRST = 4
const isLong = ref(false)
const groups = computed(() =>
  Object.entries(WEIGHTS)
    .map(([weight, said]) => ({ said, points: open.value.filter(one => one.point.weight === weight) }))
    .filter(group => group.points.length > 0)
    .map(group => ({ ...group, points: isLong.value ? group.points : group.points.slice(0, FIRST) })),
)
const more = computed(() => groups.value.reduce((left, group) => left - group.points.length, open.value.length))
const left = computed(() => (points.value ?? []).filter(one => one.by !== null))
const { wrong, attempt } = useAttempt()
const leave = (point: OpenPoint, isLeft: boolean) =>
  attempt(async () => {
    queries.setQueryData(key.value, await api.leavePoint(search, point.id, isLeft))
  })
</script>

<template>
  <LoadFailure v-if="error" :error="error" @again="refetch()" />
  <p v-else-if="!points" class="quiet" role="status">Looking over the search, its pages and its sources…</p>
  <p v-else-if="open.length === 0" class="good" role="status">
    <i class="pi pi-check-circle" aria-hidden="true" />
    Nothing is open.
  </p>
  <template v-else>
    <section v-for="group in groups" :key="group.said" :aria-label="group.said">
      <h4>{{ group.said }}</h4>
      <ul>
        <OpenPointLine
          v-for="one in group.points"
          :key="one.point.id"
          :point="one.point"
          :site="site"
          :search="search"
          @leave="leave(one.point, true)"
        />
      </ul>
    </section>
    <Button
      v-if="more > 0"
      :label="`Show ${more} more`"
      size="small"
      severity="secondary"
      text
      @click="isLong = true"
    />
  </template>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <details v-if="left.length > 0">
    <summary>{{ counted(left.length, 'thing') }} left as {{ left.length === 1 ? 'it is' : 'they are' }}</summary>
    <ul aria-label="Left as it is">
      <OpenPointLine
        v-for="one in left"
        :key="one.point.id"
        :point="one.point"
        :by="one.by!"
        :since="one.since!"
        :site="site"
        :search="search"
        @leave="leave(one.point, false)"
      />
    </ul>
  </details>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}
section,
details {
  width: 100%;
}
h4 {
  margin: 4px 0 6px;
  font-size: 13px;
}
summary {
  cursor: pointer;
  margin-bottom: 8px;
}
.good .pi {
  color: var(--good);
}
</style>

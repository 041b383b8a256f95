<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { safeAddress } from '../../../shared/http'
import { formatTime } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
import ItemFields from './ItemFields.vue'
import ItemFoundBy from './ItemFoundBy.vue'
import ItemMark from './ItemMark.vue'
import ItemPlacements from './ItemPlacements.vue'

/** One item: what it says, which searches find it, what its owner adds. */
const { site, collection, id } = defineProps<{ site: string; collection: string; id: string }>()
const {
  data: item,
  error,
  refetch,
} = useQuery({
  queryKey: ['item', () => site, () => collection, () => id],
  queryFn: () => api.item(site, collection, id),
  staleTime: 0,
})
const { data: sources } = useQuery({ queryKey: ['sources', () => site], queryFn: () => api.sources(site) })
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const { data: siteAddress } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.address,
})
const label = computed(() => collections.value?.find(one => one.key === collection)?.label ?? collection)
const source = computed(() => sources.value?.find(one => one.id === item.value?.source))
const whole = (of: string) => safeAddress(of.startsWith('/') ? (siteAddress.value ?? '') + of : of)
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/content/${collection}`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      {{ label }}
    </RouterLink>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="item">
      <div class="page-head">
        <div>
          <h1>{{ item.title }}</h1>
          <p class="lead">
            <code>{{ item.id }}</code>, last changed {{ formatTime(item.changed) }},
            <template v-if="source">
              brought by <RouterLink :to="`/${site}/sources/${source.id}`">{{ source.name }}</RouterLink>.
            </template>
            <template v-else>
              {{ item.source === null ? 'sent by a script' : 'brought by a source that was taken away' }}.
            </template>
            <a v-if="item.address && whole(item.address)" :href="whole(item.address)!" target="_blank" rel="noopener">
              Open its page
            </a>
          </p>
        </div>
      </div>
      <RemarkLine v-if="item.notFound" bad>
        No search finds this item: {{ item.notFound }}. Correct it at its source.
      </RemarkLine>
      <div class="columns">
        <ItemFields :fields="item.fields" :whole="whole" />
        <aside>
          <ItemFoundBy :id="id" class="slip side" :site="site" :collection="collection" />
          <ItemPlacements :id="id" :site="site" :collection="collection" />
          <ItemMark :site="site" :collection="collection" :item="item" />
        </aside>
      </div>
    </template>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 16px;
  align-items: start;
}
aside {
  display: grid;
  gap: 16px;
}
.side {
  padding: 16px 20px;
  display: grid;
  gap: 12px;
}
/* Lines with a sign before them, in the parts beside. */
aside :deep(.item-lines) {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
aside :deep(.item-lines li) {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
aside :deep(.item-lines li > div) {
  flex: 1;
}
aside :deep(.item-lines small) {
  display: block;
  color: var(--quiet);
  font-size: 13px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { Finding } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import { isOfItems, isUnknown } from './findings'

/** One thing that is wrong: of which items, and what can be done. */
const { site, finding, collectionLabel } = defineProps<{
  site: string
  finding: Finding
  collectionLabel: string
  busy: boolean
}>()
const emit = defineEmits<{ keepOut: []; merge: [turned: boolean] }>()
const SHOWN = 40
const isOpen = ref(false)
const { data: told } = useQuery({
  queryKey: ['items', () => site, 'told', () => finding.collection, () => finding.some.map(item => item.id)],
  enabled: computed(() => isOpen.value && !isUnknown(finding)),
  queryFn: () =>
    api.items(
      site,
      finding.collection,
      new URLSearchParams([['perPage', String(SHOWN)], ...finding.some.slice(0, SHOWN).map(item => ['id', item.id])]),
    ),
})
const items = computed<readonly { id: string; title?: string }[]>(() =>
  isUnknown(finding) ? finding.some.slice(0, SHOWN).map(({ id }) => ({ id })) : (told.value?.items ?? []),
)
</script>

<template>
  <li class="finding">
    <p>
      <b>{{ collectionLabel }}</b>
      {{ finding.what }}
    </p>
    <div class="acts">
      <template v-if="finding.merge">
        <Button
          size="small"
          severity="secondary"
          outlined
          :label="`Make it “${finding.merge.into.at(-1)}”`"
          :loading="busy"
          @click="emit('merge', false)"
        />
        <Button
          size="small"
          severity="secondary"
          text
          :label="`Make it “${finding.merge.from.at(-1)}”`"
          @click="emit('merge', true)"
        />
      </template>
      <Button
        v-else-if="isOfItems(finding) && !isUnknown(finding)"
        size="small"
        severity="secondary"
        outlined
        label="Keep out"
        :aria-label="`Keep out of search: ${collectionLabel}, ${finding.what}`"
        @click="emit('keepOut')"
      />
      <Button
        v-if="isOfItems(finding)"
        size="small"
        text
        :label="isOpen ? 'Close' : 'Show'"
        :aria-label="`${isOpen ? 'Close' : 'Show'} the items: ${collectionLabel}, ${finding.what}`"
        :aria-expanded="isOpen"
        @click="isOpen = !isOpen"
      />
    </div>
    <ul v-if="isOpen" class="items">
      <li v-for="item in items" :key="item.id">
        <RouterLink :to="{ path: `/${site}/content/${finding.collection}/item`, query: { id: item.id } }">
          {{ item.title ?? item.id }}</RouterLink>{{ ' ' }}
        <small v-if="item.title" class="quiet">{{ item.id }}</small>
      </li>
      <li v-if="finding.items > SHOWN" class="quiet">and {{ formatNumber(finding.items - SHOWN) }} more</li>
    </ul>
  </li>
</template>

<style scoped>
.finding {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 12px;
  align-items: center;
  min-height: 44px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
b {
  display: inline-block;
  min-width: 84px;
  font-weight: 600;
}
.acts {
  display: flex;
  gap: 6px;
  align-items: center;
}
.items {
  grid-column: 1 / -1;
  list-style: none;
  margin: 0 0 6px 88px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 4px 16px;
  font-size: 13.5px;
}
@media (max-width: 760px) {
  .finding {
    grid-template-columns: 1fr;
  }
  .items {
    margin-inline-start: 0;
  }
}
</style>

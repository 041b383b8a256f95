<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { counted } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import { useAccess } from '../../kit/useAccess'
import { api } from '../../ownerApi'
import CollectionCard from './CollectionCard.vue'
import FirstSearchLine from './FirstSearchLine.vue'
import SiteBeginning from './SiteBeginning.vue'

const { site } = defineProps<{ site: string }>()
const router = useRouter()
const {
  data: collections,
  error,
  refetch,
} = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const { known, edits } = useAccess(() => site)
const { data: sources } = useQuery({
  queryKey: ['sources', () => site],
  queryFn: () => api.sources(site),
  staleTime: 0,
})
const { data: findings } = useQuery({ queryKey: ['health', () => site], queryFn: () => api.health(site), staleTime: 0 })
const total = computed(() => (collections.value ?? []).reduce((sum, one) => sum + one.items, 0))
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Content</h1>
        <p v-if="collections && collections.length > 0" class="lead">
          {{ counted(total, 'item') }} in {{ counted(collections.length, 'collection') }}. A search finds what stands
          here.
        </p>
      </div>
      <Button
        v-if="edits && collections && collections.length > 0"
        label="Bring content in"
        icon="pi pi-plus"
        @click="router.push(`/${site}/sources/new`)"
      />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <template v-else-if="collections && collections.length > 0">
      <RouterLink v-if="findings && findings.length > 0" :to="`/${site}/health`" class="way-on slip">
        <i class="pi pi-heart" aria-hidden="true" />
        <span>
          <b>{{ counted(findings.length, 'thing') }} to look at.</b>
          {{ findings[0]!.what }}<template v-if="findings.length > 1">, and more</template>.
        </span>
        <span class="go">
          See what is wrong
          <i class="pi pi-arrow-right" aria-hidden="true" />
        </span>
      </RouterLink>
      <p v-else-if="findings" class="way-on slip calm">
        <i class="pi pi-check-circle" aria-hidden="true" />
        <span>Nothing is wrong with your content.</span>
      </p>
      <FirstSearchLine v-if="total > 0" :site="site" />
      <ul class="collections">
        <CollectionCard
          v-for="one in collections"
          :key="one.key"
          :site="site"
          :collection="one"
          :sources="(sources ?? []).filter(source => source.collection === one.key)"
          :findings="(findings ?? []).filter(finding => finding.collection === one.key).length"
        />
      </ul>
    </template>
    <p v-else-if="collections && known && !edits" class="quiet">There is nothing here yet.</p>
    <SiteBeginning v-else-if="collections" :site="site" />
  </main>
</template>

<style scoped>
.calm {
  background: var(--card);
  border-color: var(--line);
}
.calm .pi {
  color: var(--good);
}
.collections {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
  gap: 16px;
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { ref } from 'vue'
import type { SearchSummary } from '../../../shared/contract'
import { counted, formatTime } from '../../kit/format'
import { useAccess } from '../../kit/useAccess'
import { api } from '../../ownerApi'
import DeleteDialog from '../../kit/DeleteDialog.vue'
import CarryingPages from './CarryingPages.vue'
import LoadFailure from '../../kit/LoadFailure.vue'

const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const {
  data: searches,
  error,
  refetch,
} = useQuery({ queryKey: ['searches', () => site], queryFn: () => api.searches(site), staleTime: 0 })
const { known, edits, decides } = useAccess(() => site)
const deleting = ref<SearchSummary | null>(null)
const open = (one: SearchSummary) => one.remarks.length
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Searches</h1>
        <p class="lead">Each is one search for visitors: a box, live results and a results page of its own.</p>
      </div>
      <RouterLink v-if="edits" class="p-button" :to="`/${site}/searches/new`">
        <i class="pi pi-plus" aria-hidden="true" />
        New search
      </RouterLink>
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <ul v-else-if="searches && searches.length > 0" class="searches">
      <li v-for="one in searches" :key="one.key" class="slip">
        <span class="lamp" :class="{ lit: one.live }" aria-hidden="true" />
        <div>
          <RouterLink :to="`/${site}/searches/${one.key}/what-is-searched`">
            <h2>{{ one.name }}</h2>
          </RouterLink>
          <p v-if="one.purpose" class="purpose">{{ one.purpose }}</p>
          <p class="quiet">
            <template v-if="one.live">
              Live since {{ formatTime(one.live.published) }}, version {{ one.live.version }}
            </template>
            <template v-else>Not live yet: visitors cannot use it</template>
          </p>
        </div>
        <p class="state">
          <span v-if="one.differences.length > 0" class="chip">
            {{ counted(one.differences.length, 'change') }} not live
          </span>
          <span v-if="open(one) > 0" class="chip">{{ counted(open(one), 'thing') }} to look at</span>
          <code>{{ one.key }}</code>
          <RouterLink
            v-if="edits"
            class="p-button p-button-text p-button-secondary p-button-sm p-button-rounded p-button-icon-only copy"
            :to="`/${site}/searches/new?copy=${one.key}`"
            :aria-label="`Copy ${one.name}`"
            title="Copy"
          >
            <i class="pi pi-copy" aria-hidden="true" />
          </RouterLink>
          <Button
            v-if="decides"
            icon="pi pi-trash"
            text
            rounded
            size="small"
            severity="secondary"
            class="delete"
            :aria-label="`Delete ${one.name}`"
            @click="deleting = one"
          />
        </p>
      </li>
    </ul>
    <p v-else-if="searches && known && !edits" class="quiet">There is none yet.</p>
    <section v-else-if="searches" class="slip empty">
      <h2>Make the first search</h2>
      <p class="lead">
        It begins with what fits your content: filters, order, cards, page. You see real results at once, and change
        what you like.
      </p>
      <RouterLink class="p-button" :to="`/${site}/searches/new`">
        <i class="pi pi-plus" aria-hidden="true" />
        New search
      </RouterLink>
    </section>
    <DeleteDialog
      v-if="deleting"
      :model-value="true"
      what="this search"
      :name="deleting.name"
      effect="Visitors find nothing with it any more. Its versions and trials go with it; your content stays."
      :act="typed => api.deleteSearch(deleting!.key, typed)"
      @update:model-value="deleting = null"
      @done="queries.invalidateQueries()"
    >
      <CarryingPages :search="deleting.key" />
    </DeleteDialog>
  </main>
</template>

<style scoped>
.searches {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 12px;
}
li {
  position: relative;
  display: grid;
  grid-template-columns: 16px 1fr auto;
  align-items: center;
  gap: 16px;
  padding: 16px 20px;
}
li:hover {
  border-color: var(--edge);
}
li a {
  color: inherit;
  text-decoration: none;
}
li a::after {
  content: '';
  position: absolute;
  inset: 0;
  border-radius: 10px;
}
li a:focus-visible {
  outline: 0;
}
li a:focus-visible::after {
  outline: 2px solid var(--sea);
  outline-offset: 2px;
}
.copy,
.delete {
  position: relative;
  z-index: 1;
}
.lamp {
  width: 14px;
  height: 14px;
  border-radius: 50%;
  border: 2px solid var(--edge);
}
.lamp.lit {
  background: var(--lamp);
  border-color: var(--lamp-deep);
  box-shadow: 0 0 0 4px #f0a93a33;
}
.purpose {
  overflow-wrap: anywhere;
}
.state {
  display: flex;
  align-items: center;
  gap: 12px;
}
.chip {
  padding: 2px 10px;
  border-radius: 99px;
  background: var(--lamp-wash);
  color: #6f4200;
  font-weight: 600;
  font-size: 12.5px;
}
.empty {
  padding: 32px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
</style>

<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { ref, watch } from 'vue'
import { counted } from '../../kit/format'
import { api } from '../../ownerApi'
import LoadFailure from '../../kit/LoadFailure.vue'
import PageTurner from '../../kit/PageTurner.vue'

/** The items that a search's reach, or one rule of it, takes. */
const { search, site, collection, which, rule, title } = defineProps<{
  search: string
  site: string
  collection: string
  which: string
  rule: number
  title: string
}>()
const emit = defineEmits<{ close: [] }>()
const PER_PAGE = 20
const words = ref('')
const page = ref(1)
watch(words, () => {
  page.value = 1
})
const {
  data: items,
  error,
  refetch,
} = useQuery({
  queryKey: ['reach', () => search, () => collection, () => which, () => rule, words, page],
  queryFn: () => api.reached(search, collection, { which, rule, q: words.value, page: page.value }),
  placeholderData: keepPreviousData,
  staleTime: 0,
})
</script>

<template>
  <Dialog visible modal :header="title" :draggable="false" :style="{ width: '640px' }" @update:visible="emit('close')">
    <LoadFailure v-if="error" :error="error" @again="refetch" />
    <template v-else-if="items">
      <div class="line">
        <InputText
          v-model="words"
          placeholder="Words of the title"
          aria-label="Words of the title"
          size="small"
          autofocus
        />
        <span class="quiet" role="status">{{ counted(items.total, 'item') }}</span>
      </div>
      <ul>
        <li v-for="item in items.items" :key="item.id">
          <RouterLink :to="{ path: `/${site}/content/${collection}/item`, query: { id: item.id } }">
            {{ item.title }}
          </RouterLink>
          <small class="quiet">{{ item.address ?? item.id }}</small>
          <small v-if="item.keptOut" class="quiet">kept out by you</small>
        </li>
      </ul>
      <p v-if="items.total === 0" class="quiet none">
        {{ words ? 'None of them has these words in its title.' : 'No item.' }}
      </p>
      <PageTurner v-model="page" :pages="items.pages" :per-page="PER_PAGE" :total="items.total" />
    </template>
  </Dialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 12px 0 0;
  padding: 0;
  max-height: 420px;
  overflow-y: auto;
}
li {
  display: flex;
  align-items: baseline;
  gap: 10px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
li a {
  font-weight: 600;
  text-decoration: none;
}
li a:hover {
  text-decoration: underline;
}
li small {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none {
  margin-top: 12px;
}
</style>

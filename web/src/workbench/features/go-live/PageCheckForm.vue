<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import type { PageCheck } from '../../../shared/contract'
import AddressInput from '../../kit/AddressInput.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** Looks at a page of the site and tells what keeps the search from working there. */
const { site, search, resultsPage } = defineProps<{
  site: string
  search: string
  /** The site's own results page, from its root or whole; null where results stand on the hosted one. */
  resultsPage: string | null
}>()
const { data: here } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.address,
})
const address = ref('')
watch(
  here,
  now => {
    if (now && address.value === '') address.value = new URL(resultsPage ?? '/', `${now}/`).href
  },
  { immediate: true },
)
const checked = ref<PageCheck | null>(null)
const { busy, wrong, attempt } = useAttempt()
const check = () =>
  attempt(async () => {
    checked.value = null
    checked.value = await api.checkPage(search, address.value)
  })
const NAMES: Record<string, string> = {
  'tidy-search': 'the box',
  'tidy-results': 'the list of results',
  'tidy-filters': 'the filters',
  'tidy-list': 'a list of your own',
}
const arrived = computed(() => checked.value?.elements.map(one => NAMES[one] ?? one).join(', ') ?? '')
</script>

<template>
  <form class="check" @submit.prevent="check">
    <div class="field grow">
      <label for="check-page">Look at a page</label>
      <AddressInput id="check-page" v-model="address" />
    </div>
    <Button type="submit" label="Look" severity="secondary" outlined :loading="busy" />
  </form>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <div v-if="checked" class="said" role="status">
    <p v-if="checked.obstacles.length === 0" class="good">
      <i class="pi pi-check-circle" aria-hidden="true" />
      <span>It has arrived: {{ arrived }}.</span>
    </p>
    <RemarkLine v-for="one in checked.obstacles" :key="one.text">{{ one.text }}</RemarkLine>
  </div>
</template>

<style scoped>
.check {
  display: flex;
  align-items: end;
  gap: 8px;
  width: 100%;
}
.grow {
  flex: 1;
}
.said {
  display: grid;
  gap: 8px;
}
.good {
  display: flex;
  align-items: center;
  gap: 8px;
}
.good .pi {
  color: var(--good);
}
</style>

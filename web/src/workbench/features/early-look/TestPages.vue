<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { ref } from 'vue'
import AddressInput from '../../kit/AddressInput.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import EarlyLookWay from './EarlyLookWay.vue'

/** Pages of the site, or whole origins, on which the draft stands in place of the live version. */
const { search } = defineProps<{ search: string }>()
const queries = useQueryClient()
const key = () => ['test-pages', search]
const { data: pages } = useQuery({ queryKey: ['test-pages', () => search], queryFn: () => api.testPages(search) })
const address = ref('')
const { busy, wrong, attempt } = useAttempt()
const put = (addresses: readonly string[]) =>
  attempt(async () => {
    queries.setQueryData(key(), await api.putTestPages(search, addresses))
  })
async function add() {
  if (address.value.trim() !== '' && (await put([...(pages.value ?? []), address.value.trim()]))) address.value = ''
}
const remove = (page: string) => put((pages.value ?? []).filter(one => one !== page))
</script>

<template>
  <EarlyLookWay name="On a test page">
    <p class="quiet">
      An address of one page, or an origin for all of its pages. Whoever opens them sees the draft, as you change it.
    </p>
    <ul v-if="pages && pages.length > 0" class="entries" aria-label="Test pages">
      <li v-for="page in pages" :key="page">
        <a :href="page" target="_blank" rel="noopener">{{ page }}</a>
        <Button
          icon="pi pi-times"
          size="small"
          severity="secondary"
          text
          rounded
          :aria-label="`No test page any more: ${page}`"
          @click="remove(page)"
        />
      </li>
    </ul>
    <form @submit.prevent="add">
      <div class="field grow">
        <label for="test-page">Page or origin</label>
        <AddressInput id="test-page" v-model="address" />
      </div>
      <Button type="submit" label="Name it" severity="secondary" outlined :loading="busy" />
    </form>
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  </EarlyLookWay>
</template>

<style scoped>
form {
  display: flex;
  align-items: end;
  gap: 10px;
  width: 100%;
}
.grow {
  flex: 1;
}
</style>

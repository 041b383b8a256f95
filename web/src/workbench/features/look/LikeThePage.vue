<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { Look } from '../../../shared/contract'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** Takes colours, type and corners from one of the site's own pages. */
const { site } = defineProps<{ site: string }>()
const emit = defineEmits<{ take: [look: Look] }>()
const { data: address } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.address,
})
const typed = ref<string | null>(null)
const page = computed({ get: () => typed.value ?? `${address.value ?? ''}/`, set: now => (typed.value = now) })
const looking = ref(false)
const said = ref('')
const { wrong, attempt } = useAttempt()
const look = () =>
  attempt(async () => {
    looking.value = true
    said.value = ''
    try {
      emit('take', await api.lookLike(site, page.value))
      said.value = 'Taken from the page; what could not be read was moved until it can.'
    } finally {
      looking.value = false
    }
  })
</script>

<template>
  <form class="like" @submit.prevent="look">
    <label for="like-page">Like a page of yours</label>
    <InputText id="like-page" v-model="page" size="small" type="url" />
    <Button type="submit" label="Look at it" size="small" severity="secondary" outlined :loading="looking" />
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <p class="quiet" role="status">{{ said }}</p>
  </form>
</template>

<style scoped>
.like {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px 8px;
}
label,
p {
  grid-column: 1 / -1;
}
label {
  font-size: 13px;
  font-weight: 600;
}
p:empty {
  display: none;
}
</style>

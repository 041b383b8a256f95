<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'

/** The way from content that nothing finds yet to a first search. */
const { site } = defineProps<{ site: string }>()
const { data: searches } = useQuery({
  queryKey: ['searches', () => site],
  queryFn: () => api.searches(site),
  staleTime: 0,
})
</script>

<template>
  <RouterLink v-if="searches?.length === 0" :to="`/${site}/searches/new`" class="way-on slip">
    <i class="pi pi-search" aria-hidden="true" />
    <span>
      <b>No search finds it yet.</b>
      One is proposed that fits what is here.
    </span>
    <span class="go">
      Make the first search
      <i class="pi pi-arrow-right" aria-hidden="true" />
    </span>
  </RouterLink>
</template>

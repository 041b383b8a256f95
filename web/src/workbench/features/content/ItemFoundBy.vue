<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'

/** Which searches can find an item, and why others cannot. */
const { site, collection, id } = defineProps<{ site: string; collection: string; id: string }>()
const { data: searches } = useQuery({
  queryKey: ['found-by', () => site, () => collection, () => id],
  queryFn: () => api.foundBy(site, collection, id),
  staleTime: 0,
})
</script>

<template>
  <section aria-labelledby="found-by">
    <h2 id="found-by">Which searches find it</h2>
    <p v-if="searches?.length === 0" class="quiet">This site has no search yet.</p>
    <ul class="item-lines">
      <li v-for="one in searches ?? []" :key="one.key">
        <i class="pi" :class="one.draft ? 'pi-check-circle good' : 'pi-minus-circle bad'" aria-hidden="true" />
        <div>
          <RouterLink :to="`/${site}/searches/${one.key}/what-is-searched`">{{ one.name }}</RouterLink>
          <small>
            {{ one.draft ? 'can find it' : `cannot find it. ${one.why}` }}
            <template v-if="one.live !== null && one.live !== one.draft">
              {{ one.live ? ' The live version still can.' : ' The live version cannot yet.' }}
            </template>
          </small>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.good {
  color: var(--good);
}
.bad {
  color: var(--bad);
}
</style>

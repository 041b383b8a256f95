<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, inject, ref } from 'vue'
import type { CollectionShape, NamedItem, PlacementShape } from '../../../shared/contract'
import { api } from '../../ownerApi'
import { STAGE } from '../stage/stageAccess'
import { useAttempt } from '../../kit/useAttempt'
import ItemPicker from '../../kit/ItemPicker.vue'
import PlacedItem from './PlacedItem.vue'
import PlacedWhen from './PlacedWhen.vue'
import type { When } from './placements'

/** Items that hold a tier by hand. They are content: what is done here holds at once, for visitors too. */
const { site, search, tier, collections } = defineProps<{
  site: string
  search: string
  tier: string
  collections: readonly CollectionShape[]
}>()
const queries = useQueryClient()
const stage = inject(STAGE)
const { data: all } = useQuery({
  queryKey: ['placements', () => site],
  queryFn: () => api.placements(site),
  staleTime: 0,
})
const here = computed(() => (all.value ?? []).filter(one => one.tier === tier))
const picked = ref<NamedItem[]>([])
const NO_LIMIT: When = { place: null, from: null, until: null }
const when = ref(NO_LIMIT)
const { busy, wrong, attempt } = useAttempt()
async function done(now: PlacementShape[]) {
  queries.setQueryData(['placements', site], now)
  stage?.value?.refresh()
  await queries.invalidateQueries({ queryKey: ['reach', search] })
}
const add = () =>
  attempt(async () => {
    await done(
      await api.place(site, {
        items: picked.value.map(({ collection, id }) => ({ collection, id })),
        tier,
        ...when.value,
      }),
    )
    picked.value = []
    when.value = { ...when.value, place: null }
  })
const change = (one: PlacementShape, changed: When) =>
  attempt(async () => done(await api.place(site, { items: [one.item], tier, ...changed })))
const take = (one: PlacementShape) => attempt(async () => done(await api.unplace(site, [one.item], tier)))
</script>

<template>
  <div class="placements">
    <ul v-if="here.length > 0">
      <PlacedItem
        v-for="one in here"
        :key="`${one.item.collection}/${one.item.id}`"
        :placement="one"
        @change="change(one, $event)"
        @remove="take(one)"
      />
    </ul>
    <form class="add" @submit.prevent="add">
      <ItemPicker v-model="picked" :search="search" :collections="collections" label="Items to place in the tier" />
      <PlacedWhen v-if="picked.length > 0" v-model="when" of="what is placed">
        <Button
          type="submit"
          :label="picked.length === 1 ? 'Place it' : `Place all ${picked.length}`"
          size="small"
          :loading="busy"
        />
      </PlacedWhen>
    </form>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <small class="quiet">Holds at once, for visitors too, in every search of the site that has this tier.</small>
  </div>
</template>

<style scoped>
.placements {
  display: grid;
  gap: 8px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 340px;
  overflow-y: auto;
}
.add {
  display: grid;
  gap: 8px;
}
</style>

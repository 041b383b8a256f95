<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import { computed, inject, ref, useId } from 'vue'
import type { CollectionShape, NamedItem, PlacementShape } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import { api } from '../../ownerApi'
import { STAGE } from '../stage/stageAccess'
import { useAttempt } from '../../kit/useAttempt'
import ItemPicker from '../../kit/ItemPicker.vue'

/** Items that hold a tier by hand. They are content: what is done here holds at once, for visitors too. */
const { site, search, tier, collections } = defineProps<{
  site: string
  search: string
  tier: string
  collections: readonly CollectionShape[]
}>()
const queries = useQueryClient()
const stage = inject(STAGE)
const id = useId()
const { data: all } = useQuery({
  queryKey: ['placements', () => site],
  queryFn: () => api.placements(site),
  staleTime: 0,
})
const here = computed(() => (all.value ?? []).filter(one => one.tier === tier))
const picked = ref<NamedItem[]>([])
const place = ref<number | null>(null)
const from = ref('')
const until = ref('')
const { busy, wrong, attempt } = useAttempt()
async function done(now: PlacementShape[]) {
  queries.setQueryData(['placements', site], now)
  stage?.refresh()
  await queries.invalidateQueries({ queryKey: ['reach', search] })
}
const add = () =>
  attempt(async () => {
    await done(
      await api.place(site, {
        items: picked.value.map(({ collection, id }) => ({ collection, id })),
        tier,
        place: place.value,
        from: from.value || null,
        until: until.value || null,
      }),
    )
    picked.value = []
    place.value = null
  })
const change = (one: PlacementShape, changed: { place?: number | null; from?: string | null; until?: string | null }) =>
  attempt(async () =>
    done(
      await api.place(site, {
        items: [one.item],
        tier,
        place: one.place,
        from: one.from,
        until: one.until,
        ...changed,
      }),
    ),
  )
const take = (one: PlacementShape) => attempt(async () => done(await api.unplace(site, [one.item], tier)))
const title = (one: PlacementShape) => one.title ?? `${one.item.id} (gone)`
const state = (one: PlacementShape) =>
  one.state === 'ended'
    ? `ended ${formatDay(`${one.until}T12:00`)}`
    : one.state === 'begins-later'
      ? `begins ${formatDay(`${one.from}T12:00`)}`
      : ''
</script>

<template>
  <div class="placements">
    <ul v-if="here.length > 0">
      <li
        v-for="one in here"
        :key="`${one.item.collection}/${one.item.id}`"
        :class="{ off: one.state !== 'holds' || one.title === null }"
      >
        <div class="head">
          <b>{{ title(one) }}</b>
          <small v-if="state(one)" class="state">{{ state(one) }}</small>
          <Button
            icon="pi pi-times"
            text
            rounded
            size="small"
            severity="secondary"
            :aria-label="`Take ${title(one)} out of the tier`"
            @click="take(one)"
          />
        </div>
        <div class="when">
          <label>
            place
            <InputNumber
              :model-value="one.place"
              :min="1"
              :max="1000"
              size="small"
              placeholder="any"
              :aria-label="`Place of ${title(one)} in the tier`"
              @update:model-value="change(one, { place: $event })"
            />
          </label>
          <label>
            from
            <InputText
              type="date"
              size="small"
              :model-value="one.from ?? ''"
              :aria-label="`First day of ${title(one)}`"
              @change="change(one, { from: ($event.target as HTMLInputElement).value || null })"
            />
          </label>
          <label>
            until
            <InputText
              type="date"
              size="small"
              :model-value="one.until ?? ''"
              :aria-label="`Last day of ${title(one)}`"
              @change="change(one, { until: ($event.target as HTMLInputElement).value || null })"
            />
          </label>
        </div>
      </li>
    </ul>
    <form class="add" @submit.prevent="add">
      <ItemPicker v-model="picked" :search="search" :collections="collections" label="Items to place in the tier" />
      <div v-if="picked.length > 0" class="when">
        <label :for="`${id}-p`">
          place
          <InputNumber v-model="place" :input-id="`${id}-p`" :min="1" :max="1000" size="small" placeholder="any" />
        </label>
        <label>
          from
          <InputText v-model="from" type="date" size="small" />
        </label>
        <label>
          until
          <InputText v-model="until" type="date" size="small" />
        </label>
        <Button
          type="submit"
          :label="picked.length === 1 ? 'Place it' : `Place all ${picked.length}`"
          size="small"
          :loading="busy"
        />
      </div>
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
li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
li:first-child {
  border-top: 0;
}
.off b {
  color: var(--quiet);
  font-weight: 500;
}
.head {
  display: flex;
  align-items: center;
  gap: 8px;
}
.head b {
  flex: 1;
  min-width: 0;
  font-size: 13.5px;
  font-weight: 600;
}
.head :deep(.p-button) {
  width: 28px;
  height: 28px;
  padding: 0;
  flex: none;
}
.state {
  color: var(--lamp-deep);
  white-space: nowrap;
}
.when {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px 8px;
}
.when label {
  display: grid;
  gap: 1px;
  font-size: 12px;
  color: var(--quiet);
}
.when :deep(input) {
  width: 62px;
  font-size: 13px;
  padding: 4px 6px;
}
.when :deep(input[type='date']) {
  width: 118px;
}
.add {
  display: grid;
  gap: 8px;
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, useId } from 'vue'
import type { OwnPlace } from '../../../shared/contract'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'

/** Names by which visitors may ask for places, beside those of items and of the gazetteer. */
const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const id = useId()
const { data: places } = useQuery({ queryKey: ['own-places', () => site], queryFn: () => api.ownPlaces(site) })
const name = ref('')
const where = ref('')
/** Latitude and longitude, as maps hand them out. */
const position = computed(() => {
  const parts = where.value
    .split(/[,;\s]+/)
    .filter(Boolean)
    .map(Number)
  return parts.length === 2 && parts.every(Number.isFinite) ? { latitude: parts[0]!, longitude: parts[1]! } : null
})
const { wrong, busy, attempt } = useAttempt()
const put = (now: OwnPlace[]) =>
  attempt(async () => {
    queries.setQueryData(['own-places', site], await api.putOwnPlaces(site, now))
    return true
  })
async function add() {
  if (!position.value) return
  if (await put([...(places.value ?? []), { name: name.value.trim(), ...position.value }])) {
    name.value = ''
    where.value = ''
  }
}
</script>

<template>
  <section class="slip">
    <h2>Names of places</h2>
    <p class="lead">
      Visitors who look around a place may write the names that items have, towns of the world, and these.
    </p>
    <ul v-if="places && places.length > 0">
      <li v-for="place in places" :key="place.name">
        <span>
          <b>{{ place.name }}</b>
          <small class="quiet number">{{ place.latitude }}, {{ place.longitude }}</small>
        </span>
        <Button
          label="Remove"
          size="small"
          severity="danger"
          text
          :aria-label="`Remove the name ${place.name}`"
          @click="put(places.filter(one => one !== place))"
        />
      </li>
    </ul>
    <form class="new" @submit.prevent="add">
      <div class="field">
        <label :for="`${id}-name`">Name</label>
        <InputText :id="`${id}-name`" v-model="name" maxlength="100" placeholder="Old harbour" />
      </div>
      <div class="field">
        <label :for="`${id}-where`">Latitude, longitude</label>
        <InputText :id="`${id}-where`" v-model="where" placeholder="47.2078, -32.7351" />
      </div>
      <Button
        type="submit"
        label="Add"
        severity="secondary"
        outlined
        :loading="busy"
        :disabled="name.trim() === '' || position === null"
      />
    </form>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <small class="quiet">
      Towns of the world: place names by
      <a href="https://www.geonames.org/" rel="noopener" target="_blank">GeoNames</a>, CC BY 4.0. They ship with the
      service; nothing is asked elsewhere.
    </small>
  </section>
</template>

<style scoped>
.slip {
  padding: 20px 24px 24px;
  display: grid;
  gap: 16px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 320px;
  overflow-y: auto;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
li small {
  display: block;
}
.new {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 10px;
  align-items: end;
}
.new input {
  width: 100%;
  min-width: 0;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed } from 'vue'
import type { Filter, FilterPlaces } from '../../../shared/contract'
import { inUse } from './filters'

/** How filters stand in each place, and which do; switching a place off keeps what each filter says. */
const { filters } = defineProps<{ filters: readonly Filter[] }>()
const places = defineModel<FilterPlaces>({ required: true })
const emit = defineEmits<{ all: [place: keyof FilterPlaces, shown: boolean] }>()
type Place = keyof FilterPlaces
const NAMES: { key: Place; label: string; about: string }[] = [
  { key: 'page', label: 'Results page', about: 'beside the results, or above them' },
  { key: 'box', label: 'Beside the search box', about: 'set before or after the words' },
  { key: 'home', label: 'Alone on a page', about: '<tidy-filters>, which leads to the results' },
]
const holds = [
  { value: true, label: 'At once' },
  { value: false, label: 'By a button' },
]
const openings: { value: FilterPlaces['page']['opened']; label: string }[] = [
  { value: 'in-view', label: 'In view' },
  { value: 'unfolding', label: 'Unfolding' },
  { value: 'over', label: 'Over the page' },
]
const set = (place: Place, changed: Partial<FilterPlaces['page']>) => {
  places.value = { ...places.value, [place]: { ...places.value[place], ...changed } }
}
const isThere = (filter: Filter, place: Place) =>
  place === 'page' ? filter.shown.page !== 'nowhere' : filter.shown[place]
const used = computed(() => inUse(filters))
const there = (place: Place) => used.value.filter(filter => isThere(filter, place)).length
</script>

<template>
  <ul class="places" aria-label="Where filters stand">
    <li v-for="place in NAMES" :key="place.key" class="slip">
      <div class="top">
        <label :for="`place-${place.key}`">
          <b>{{ place.label }}</b>
          <small class="quiet">
            {{ places[place.key].shown ? `${there(place.key)} of ${used.length} · ${place.about}` : 'none shown' }}
          </small>
        </label>
        <span v-if="places[place.key].shown" class="both">
          <Button
            label="All"
            size="small"
            text
            severity="secondary"
            :disabled="there(place.key) === used.length"
            :aria-label="`All filters: ${place.label}`"
            @click="emit('all', place.key, true)"
          />
          <Button
            label="None"
            size="small"
            text
            severity="secondary"
            :disabled="there(place.key) === 0"
            :aria-label="`None: ${place.label}`"
            @click="emit('all', place.key, false)"
          />
        </span>
        <ToggleSwitch
          :input-id="`place-${place.key}`"
          :model-value="places[place.key].shown"
          @update:model-value="set(place.key, { shown: $event })"
        />
      </div>
      <div v-if="places[place.key].shown" class="ways">
        <SelectButton
          v-if="place.key !== 'home'"
          :model-value="places[place.key].atOnce"
          :options="holds"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          size="small"
          :aria-label="`${place.label}: when a choice holds`"
          @update:model-value="set(place.key, { atOnce: $event })"
        />
        <SelectButton
          :model-value="places[place.key].opened"
          :options="openings"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          size="small"
          :aria-label="`${place.label}: how they open`"
          @update:model-value="set(place.key, { opened: $event })"
        />
      </div>
    </li>
  </ul>
</template>

<style scoped>
.places {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.slip {
  padding: 8px 14px;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.top label {
  flex: 1;
  cursor: pointer;
}
.top b {
  font-weight: 600;
}
small {
  display: block;
  font-size: 12.5px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 8px;
}
.both {
  display: flex;
}
</style>

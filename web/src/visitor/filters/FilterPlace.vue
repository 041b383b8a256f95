<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import type { FilterShape } from '../../shared/contract'
import type { Filters } from '../address'
import { useTexts } from '../texts'
import { useStyle } from '../look/useStyle'
import css from './place.css?inline'

useStyle(css)

const { say, written } = useTexts()
/** How far from a place: one that items here name, or, if the visitor's browser is asked, where they are. */
const { filter } = defineProps<{ filter: FilterShape }>()
const emit = defineEmits<{ put: [changes: Filters] }>()
const around = computed(() => filter.around!)
const id = useId()
const name = computed(() => around.value.name || around.value.unknown || (around.value.known ? say('here') : ''))
const typed = ref(name.value)
watch(name, now => {
  typed.value = now
})
const chosen = computed(() => filter.values.find(value => value.selected)?.value ?? '')
const asking = ref(false)
const refused = ref(false)
/** Thousandths of a degree, about a hundred metres, are near enough, and the address tells no door number. */
const rounded = (degrees: number) => String(Number(degrees.toFixed(3)))

function write() {
  const place = typed.value.trim()
  // The words for where the visitor is stand for a position, not for a place of that name.
  if (place === name.value) return
  emit('put', { place: place === '' ? [] : [place], near: [], ...(place === '' ? { [filter.key]: [] } : {}) })
}
function ask() {
  asking.value = true
  refused.value = false
  navigator.geolocation.getCurrentPosition(
    found => {
      asking.value = false
      emit('put', { near: [`${rounded(found.coords.latitude)},${rounded(found.coords.longitude)}`], place: [] })
    },
    () => {
      asking.value = false
      refused.value = true
    },
    { maximumAge: 600_000, timeout: 15_000 },
  )
}
const canAsk = 'geolocation' in navigator && window.isSecureContext
</script>

<template>
  <div class="around">
    <input
      :value="typed"
      type="search"
      class="typed"
      :list="`${id}-names`"
      :placeholder="say('around')"
      :aria-label="`${filter.label}: ${say('around')}`"
      autocomplete="off"
      @input="typed = ($event.target as HTMLInputElement).value"
      @change="write"
      @keydown.enter.prevent="write"
    />
    <datalist :id="`${id}-names`"><option v-for="one in around.names" :key="one" :value="one" /></datalist>
    <button v-if="canAsk" type="button" class="more" :disabled="asking" @click="ask">
      {{ asking ? say('whereIs') : say('here') }}
    </button>
  </div>
  <p v-if="refused" class="help" role="status">{{ say('noPosition') }}</p>
  <p v-else-if="around.unknown" class="help" role="status">{{ say('noSuchPlace', { name: around.unknown }) }}</p>
  <p v-else-if="!around.known" class="help">{{ say('sayWhere') }}</p>
  <p v-if="around.namesakes.length > 0" class="namesakes">
    <span>{{ say('orElse') }}</span>
    <button
      v-for="one in around.namesakes"
      :key="one"
      type="button"
      class="more"
      @click="emit('put', { place: [one], near: [] })"
    >
      {{ one }}
    </button>
  </p>
  <select
    v-if="around.known"
    class="typed"
    :aria-label="filter.label"
    :value="chosen"
    @change="
      emit('put', {
        [filter.key]:
          ($event.target as HTMLSelectElement).value === '' ? [] : [($event.target as HTMLSelectElement).value],
      })
    "
  >
    <option value="">{{ filter.neutral }}</option>
    <option
      v-for="value in filter.values"
      :key="value.value"
      :value="value.value"
      :disabled="value.count === 0 && !value.selected"
    >
      {{ value.label }}{{ filter.counts ? ` (${written(value.count)})` : '' }}
    </option>
  </select>
  <small v-if="around.attribution" class="attribution">{{ around.attribution }}</small>
</template>

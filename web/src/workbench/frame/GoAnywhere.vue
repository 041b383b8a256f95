<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref, useId, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../ownerApi'
import LoadFailure from '../kit/LoadFailure.vue'
import { steps, TRIALS } from '../features/searches/steps'

const { site } = defineProps<{ site: string }>()
const shown = defineModel<boolean>({ required: true })
const router = useRouter()
const id = useId()
const words = ref('')
const active = ref(0)
const {
  data: searches,
  isFetching: searchesComing,
  error: searchesFailure,
  refetch: fetchSearches,
} = useQuery({
  queryKey: ['searches', () => site],
  queryFn: () => api.searches(site),
  enabled: shown,
})
const {
  data: collections,
  isFetching: collectionsComing,
  error: collectionsFailure,
  refetch: fetchCollections,
} = useQuery({
  queryKey: ['collections', () => site],
  queryFn: () => api.collections(site),
  enabled: shown,
})

const places = computed(() => [
  { name: 'Content', to: `/${site}/content` },
  ...(collections.value ?? []).map(one => ({ name: `Content: ${one.label}`, to: `/${site}/content/${one.key}` })),
  { name: 'Bring content in', to: `/${site}/sources/new` },
  { name: 'New search', to: `/${site}/searches/new` },
  { name: 'Health of the content', to: `/${site}/health` },
  { name: 'Searches', to: `/${site}/searches` },
  ...(searches.value ?? []).flatMap(one =>
    [...steps, { key: TRIALS, name: 'Trials', parts: [] }].flatMap(step => {
      const to = `/${site}/searches/${one.key}/${step.key}`
      return [
        { name: `${one.name}: ${step.name}`, to },
        ...step.parts.map(part => ({ name: `${one.name}: ${part.name}`, to: `${to}#${part.id}` })),
      ]
    }),
  ),
  { name: 'What happened, and taking it back', to: `/${site}/history` },
  { name: 'Site, origins and access keys', to: `/${site}/settings` },
])
const found = computed(() =>
  places.value
    .filter(place =>
      words.value
        .toLowerCase()
        .split(/\s+/)
        .every(word => place.name.toLowerCase().includes(word)),
    )
    .slice(0, 10),
)

/** Whether all the places are there to be looked through, or will not come. */
const isReady = computed(() => !searchesComing.value && !collectionsComing.value)
const failure = computed(() => searchesFailure.value ?? collectionsFailure.value)
function fetchAgain() {
  void fetchSearches()
  void fetchCollections()
}
/** Enter was pressed before they were: who types fast is taken there once they are. */
const goesOnceReady = ref(false)

watch(words, () => {
  active.value = 0
  goesOnceReady.value = false
})
watch(shown, () => {
  words.value = ''
  goesOnceReady.value = false
})
watch(isReady, () => {
  if (goesOnceReady.value) goToActive()
})
function key(event: KeyboardEvent) {
  if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
    event.preventDefault()
    const many = found.value.length
    if (many > 0) active.value = (active.value + (event.key === 'ArrowDown' ? 1 : -1) + many) % many
  } else if (event.key === 'Enter') {
    event.preventDefault()
    if (isReady.value) goToActive()
    else goesOnceReady.value = true
  }
}
function goToActive() {
  const place = found.value[active.value]
  if (place) go(place.to)
}
function go(to: string) {
  shown.value = false
  void router.push(to)
}
</script>

<template>
  <!-- The dialog itself puts the focus on what is marked so, once it has come in; focusing it earlier would be undone. -->
  <Dialog
    v-model:visible="shown"
    modal
    dismissable-mask
    header="Go to"
    position="top"
    :draggable="false"
    :style="{ width: '520px', marginTop: '64px' }"
  >
    <InputText
      v-model="words"
      autofocus
      fluid
      placeholder="A collection, a search, a step, or what is in it"
      role="combobox"
      aria-expanded="true"
      aria-autocomplete="list"
      aria-label="Where to go"
      :aria-controls="`${id}-list`"
      :aria-activedescendant="found.length > 0 ? `${id}-${active}` : undefined"
      @keydown="key"
    />
    <ul :id="`${id}-list`" role="listbox" aria-label="Places">
      <li
        v-for="(place, n) in found"
        :id="`${id}-${n}`"
        :key="place.to"
        role="option"
        :aria-selected="n === active"
        @click="go(place.to)"
        @pointermove="active = n"
      >
        {{ place.name }}
      </li>
    </ul>
    <LoadFailure v-if="failure" :error="failure" @again="fetchAgain" />
    <p v-else-if="found.length === 0" class="quiet">
      {{ isReady ? 'No place has this in its name.' : 'The searches and collections are being fetched…' }}
    </p>
  </Dialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
li {
  padding: 8px 12px;
  border-radius: 7px;
  cursor: pointer;
}
li[aria-selected='true'] {
  background: var(--sea-wash);
  color: var(--sea-deep);
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { withPlaces } from '../searches/designParts'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { SearchBox } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { LEADS } from '../places/placeNames'
import { useCarryingPages } from '../places/useCarryingPages'
import type { DraftEditing } from '../searches/useDraft'

/** Where Enter and the button lead, and which page that is. */
const { draft, search } = defineProps<{ draft: DraftEditing; search: string }>()
const leads = defineModel<SearchBox['leads']>({ required: true })
const address = computed(() => draft.design.value!.places.page.address)
const hosted = `${location.origin}/s/${search}`
const HOSTED = '*'
const TYPED = '+'
const carrying = useCarryingPages(() => search)
const pages = computed(() => [
  { value: HOSTED, label: 'The hosted page' },
  ...carrying.value,
  { value: TYPED, label: 'Another page of my site' },
])
const isTyped = ref(false)
const chosen = computed(() => {
  if (address.value === null) return isTyped.value ? TYPED : HOSTED
  return !isTyped.value && carrying.value.some(one => one.value === address.value) ? address.value : TYPED
})
function choose(page: string) {
  isTyped.value = page === TYPED
  if (!isTyped.value) put(page === HOSTED ? null : page)
}
function put(changed: string | null) {
  draft.change('page.address', design => withPlaces(design, { page: { ...design.places.page, address: changed } }))
}
</script>

<template>
  <ChoiceField v-model="leads" label="Enter leads" :options="LEADS" />
  <ChoiceField label="The results page" :options="pages" :model-value="chosen" @update:model-value="choose" />
  <div v-if="chosen === TYPED" class="field">
    <label for="page-address">Address of that page</label>
    <InputText
      id="page-address"
      :model-value="address ?? ''"
      placeholder="/search"
      @change="put(($event.target as HTMLInputElement).value.trim() || null)"
    />
    <small
      >From your site’s root, or in full. Go live has the tags for it; once they are there, the page has its name
      here.</small
    >
  </div>
  <p v-else-if="chosen === HOSTED" class="quiet">
    At
    <a :href="hosted" target="_blank" rel="noopener">{{ hosted }}</a>
    . It works without script, too.
  </p>
</template>

<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import type { SearchBox } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ChoiceField from '../../kit/ChoiceField.vue'
import { LEADS } from '../places/placeNames'
import type { DraftEditing } from '../searches/useDraft'

/** Where Enter and the button lead, and which page that is. */
const { draft, search } = defineProps<{ draft: DraftEditing; search: string }>()
const leads = defineModel<SearchBox['leads']>({ required: true })
const address = computed(() => draft.design.value!.page.address)
const hosted = `${location.origin}/s/${search}`
const KINDS = [
  { label: 'The hosted page', value: false },
  { label: 'A page of my site', value: true },
]
const own = ref(address.value !== null)
function choose(isOwn: boolean) {
  own.value = isOwn
  if (!isOwn) put(null)
}
function put(changed: string | null) {
  draft.change('page.address', design => ({ ...design, page: { ...design.page, address: changed } }))
}
</script>

<template>
  <ChoiceField v-model="leads" label="Enter leads" :options="LEADS" />
  <ButtonChoice label="The results page" :options="KINDS" :model-value="own" @update:model-value="choose" />
  <div v-if="own" class="field">
    <label for="page-address">Address of that page</label>
    <InputText
      id="page-address"
      :model-value="address ?? ''"
      placeholder="/search"
      @change="put(($event.target as HTMLInputElement).value.trim() || null)"
    />
    <small>From your site’s root, or in full. Go live has the tags for it.</small>
  </div>
  <p v-else class="quiet">
    At
    <a :href="hosted" target="_blank" rel="noopener">{{ hosted }}</a>
    . It works without script, too.
  </p>
</template>

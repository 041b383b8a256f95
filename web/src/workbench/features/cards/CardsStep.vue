<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { CollectionShape, SearchSummary } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import DraftLook from '../look/DraftLook.vue'
import StepRemarks from '../searches/StepRemarks.vue'
import type { DraftEditing } from '../searches/useDraft'
import DraftTexts from '../texts/DraftTexts.vue'
import CardComposer from './CardComposer.vue'

/** What a result looks like: what stands on its card, what the whole wears, and what is read around it. */
const { draft, search } = defineProps<{
  draft: DraftEditing
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const PARTS = [
  { value: 'card', label: 'Card' },
  { value: 'look', label: 'Look' },
  { value: 'texts', label: 'Texts' },
] as const
/** In the address, so that *Go to* leads to each, and Back returns. */
const route = useRoute()
const router = useRouter()
const part = computed({
  get: () => PARTS.find(one => `#${one.value}` === route.hash)?.value ?? 'card',
  set: chosen => void router.replace({ hash: `#${chosen}` }),
})
</script>

<template>
  <h2>Cards & look</h2>
  <p class="lead">What stands on a result, what the search wears, and what visitors read.</p>
  <StepRemarks step="cards" :summary="summary" />
  <ButtonChoice v-model="part" class="parts" label="What to decide" :options="PARTS" />
  <CardComposer v-if="part === 'card'" :draft="draft" :search="search" />
  <DraftTexts v-else-if="part === 'texts'" :draft="draft" :search="search" />
  <DraftLook v-else :draft="draft" :search="search" />
</template>

<style scoped>
.parts {
  margin-top: 12px;
}
</style>

<script setup lang="ts">
import { withAppearance } from '../searches/designParts'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import type { SearchDesign, VisitorTexts } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import LoadFailure from '../../kit/LoadFailure.vue'
import { settingsOf } from '../../kit/settingsOf'
import { api } from '../../ownerApi'
import type { DraftEditing } from '../searches/useDraft'
import LabelWordings from './LabelWordings.vue'
import TextWordings from './TextWordings.vue'

/** In which language visitors are spoken to, and what an owner words otherwise. */
const { draft, search } = defineProps<{ draft: DraftEditing; search: string }>()
type Language = NonNullable<VisitorTexts['language']>
const worded = ref<Language>(
  draft.design.value!.appearance.texts.language ?? draft.design.value!.appearance.texts.fallback ?? 'en',
)
const {
  data: choices,
  error,
  refetch,
} = useQuery({
  queryKey: ['reach', () => search, 'texts', worded],
  queryFn: () => api.standardTexts(search, worded.value),
  placeholderData: before => before,
  staleTime: 0,
})
const texts = computed({
  get: () => draft.design.value!.appearance.texts,
  set: changed => draft.change('texts', (design: SearchDesign) => withAppearance(design, { texts: changed })),
})
const settings = settingsOf(texts)
const areTextsOpen = ref(true)
/** A list takes no null; no language has this code. */
const NONE = '*'
const languages = computed(() =>
  (choices.value?.languages ?? []).map(one => ({ value: one.language, label: one.name })),
)
const name = computed(() => languages.value.find(one => one.value === worded.value)?.label ?? worded.value)
const own = computed(() => texts.value.reworded.filter(one => one.language === worded.value).length)
const labels = computed(() => texts.value.labels.filter(one => one.language === worded.value).length)
const said = (count: number, all: number) => (count === 0 ? 'as they come' : `${count} of ${all} worded by you`)
</script>

<template>
  <LoadFailure v-if="error" :error="error" @again="refetch()" />
  <div v-else-if="choices" class="texts">
    <ChoiceField
      label="Visitors read"
      :options="[{ value: NONE, label: 'The page’s language' }, ...languages]"
      :model-value="texts.language ?? NONE"
      @update:model-value="settings.language = $event === NONE ? null : $event"
    />
    <ChoiceField
      v-if="texts.language === null"
      label="On pages in others"
      :options="[{ value: NONE, label: 'That of what is searched' }, ...languages]"
      :model-value="texts.fallback ?? NONE"
      @update:model-value="settings.fallback = $event === NONE ? null : $event"
    />
    <ChoiceField v-model="worded" label="Words in" :options="languages" />
    <FoldingSection v-model:open="areTextsOpen" title="Texts" :said="said(own, choices.texts.length)">
      <TextWordings v-model="settings.reworded" :texts="choices.texts" :language="worded" />
    </FoldingSection>
    <FoldingSection title="Your labels" :said="said(labels, choices.labels.length)">
      <p class="quiet">What visitors read in place of your labels where they are spoken to in {{ name }}.</p>
      <LabelWordings v-model="settings.labels" :labels="choices.labels" :language="worded" />
    </FoldingSection>
  </div>
</template>

<style scoped>
.texts {
  display: grid;
  gap: 12px;
  margin-top: 14px;
}
</style>

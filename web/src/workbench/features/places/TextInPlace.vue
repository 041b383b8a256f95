<script setup lang="ts">
import { withAppearance } from '../searches/designParts'
import LimitedText from '../design-rules/LimitedText.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api } from '../../ownerApi'
import type { DraftEditing } from '../searches/useDraft'

/** One of the texts that visitors read, worded where it is shown; in the search's language, else in English. */
const { draft, search, text } = defineProps<{
  draft: DraftEditing
  search: string
  label: string
  /** Its key among the texts. */
  text: string
}>()
const texts = computed(() => draft.design.value!.appearance.texts)
const language = computed(() => texts.value.language ?? texts.value.fallback ?? 'en')
const { data: choices } = useQuery({
  queryKey: ['reach', () => search, 'texts', language],
  queryFn: () => api.standardTexts(search, language.value),
})
const standard = computed(() => choices.value?.texts.find(one => one.text === text)?.forms ?? null)
const own = computed(() => texts.value.reworded.find(one => one.text === text && one.language === language.value))
const wording = computed({
  get: () => own.value?.forms.other ?? standard.value?.other ?? '',
  set: written => {
    const others = texts.value.reworded.filter(one => one !== own.value)
    const isStandard = written === '' || written === standard.value?.other
    const forms = { ...(own.value?.forms ?? standard.value ?? {}), other: written }
    const reworded = isStandard ? others : [...others, { language: language.value, text, forms }]
    draft.change(`texts.${text}`, design => withAppearance(design, { texts: { ...design.appearance.texts, reworded } }))
  },
})
</script>

<template>
  <LimitedText
    v-if="standard"
    v-model="wording"
    :label="label"
    path="appearance.texts.reworded.forms"
    :placeholder="standard.other"
  />
</template>

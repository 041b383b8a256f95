<script setup lang="ts">
import LimitedText from '../design-rules/LimitedText.vue'
import type { TextChoices, VisitorTexts } from '../../../shared/contract'

/** The labels that an owner gave, each with its wording in one language. */
type WordedLabel = VisitorTexts['labels'][number]
const { labels, language } = defineProps<{ labels: TextChoices['labels']; language: WordedLabel['language'] }>()
const worded = defineModel<readonly WordedLabel[]>({ required: true })
const ownOf = (label: string) => worded.value.find(one => one.language === language && one.label === label)
function put(label: string, wording: string) {
  const others = worded.value.filter(one => one.language !== language || one.label !== label)
  worded.value = wording.trim() === '' ? others : [...others, { language, label, wording: wording.trim() }]
}
</script>

<template>
  <LimitedText
    v-for="one in labels"
    :key="one.label"
    :label="one.usual"
    path="appearance.texts.labels.wording"
    :placeholder="one.usual"
    :model-value="ownOf(one.label)?.wording ?? ''"
    @update:model-value="put(one.label, $event)"
  />
  <p v-if="labels.length === 0" class="quiet">Filters, orders and tiers have no labels yet.</p>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { CollectionShape, SearchSummary, Words } from '../../../shared/contract'
import StepRemarks from '../searches/StepRemarks.vue'
import type { DraftEditing } from '../searches/useDraft'
import ExcerptShape from './ExcerptShape.vue'
import FieldWeights from './FieldWeights.vue'
import StopWordsEditor from './StopWordsEditor.vue'
import SynonymsEditor from './SynonymsEditor.vue'
import VisitorHelp from './VisitorHelp.vue'
import { searchedLanguages, wordFields } from './wordFields'
import WordMatching from './WordMatching.vue'

/** Which fields count, how words match, what else they may mean, and what helps visitors. */
const { draft, search, collections, summary } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const words = computed(() => draft.design.value!.words)
const fields = computed(() => wordFields(draft.design.value!, collections))
const languages = computed(() => searchedLanguages(draft.design.value!, collections))
function set(part: string, changed: Partial<Words>) {
  draft.change(part, design => ({ ...design, words: { ...design.words, ...changed } }))
}
</script>

<template>
  <h2>Words</h2>
  <p class="lead">Which fields count, and how much. The stage answers as you move them.</p>
  <StepRemarks step="words" :summary="summary" />
  <FieldWeights
    :search="search"
    :fields="fields"
    :collections="draft.design.value!.reach.collections.length"
    :weights="words.weights"
    @change="(part, weights) => set(part, { weights })"
  />
  <h2 id="strictness" class="second">How strictly words must match</h2>
  <WordMatching
    :matching="words.matching"
    @change="(part, changed) => set(part, { matching: { ...words.matching, ...changed } })"
  />
  <h2 id="synonyms" class="second">Synonyms</h2>
  <p class="quiet part">
    Other words for the same thing, phrases too. What is found by them comes after what holds the word itself.
  </p>
  <SynonymsEditor
    :search="search"
    :model-value="words.synonyms"
    @update:model-value="set('synonyms', { synonyms: [...$event] })"
  />
  <h2 id="stop-words" class="second">Words that do not count</h2>
  <p class="quiet part">They need not be there, unless nothing else is typed.</p>
  <StopWordsEditor
    :languages="languages"
    :model-value="words.stopWords"
    @update:model-value="set('stopWords', { stopWords: [...$event] })"
  />
  <h2 id="help" class="second">Help for visitors</h2>
  <p class="quiet part">Nothing is offered that would lead to an empty page.</p>
  <VisitorHelp :model-value="words.help" @update:model-value="set('help', { help: $event })" />
  <h2 id="excerpt" class="second">Text under a title</h2>
  <p class="quiet part">The summary first; where it is short or does not hold the words, the text around them.</p>
  <ExcerptShape :model-value="words.excerpt" @update:model-value="set('excerpt', { excerpt: $event })" />
</template>

<style scoped>
.second {
  margin: 28px 0 0;
}
.part {
  margin: 4px 0 10px;
  font-size: 13.5px;
}
</style>

<script setup lang="ts">
import { useDesignRules } from '../design-rules/useDesignRules'
import Slider from 'primevue/slider'
import { computed } from 'vue'
import type { Words } from '../../../shared/contract'
import SwitchField from '../../kit/SwitchField.vue'

/** How much text stands under a title, and where in it the first match is. */
const shape = defineModel<Words['excerpt']>({ required: true })
/** As many words as these have room on a card as cards come. */
const USUAL = 30
const { limit } = useDesignRules()
const most = computed(() => limit('words.excerpt.words')?.most ?? USUAL)
/** The first match stands among the words. */
const mostBefore = (words: number | null) =>
  Math.min(limit('words.excerpt.wordsBefore')?.most ?? 0, (words ?? most.value) - 1)
function setWords(words: number | null) {
  shape.value = { words, wordsBefore: Math.min(shape.value.wordsBefore, mostBefore(words)) }
}
</script>

<template>
  <SwitchField
    label="As many words as the card has lines for"
    :model-value="shape.words === null"
    @update:model-value="setWords($event ? null : USUAL)"
  />
  <div v-if="shape.words !== null && limit('words.excerpt.words')" class="row">
    <b id="excerpt-words">Words in it</b>
    <Slider
      :model-value="shape.words"
      :min="limit('words.excerpt.words')!.least"
      :max="most"
      aria-labelledby="excerpt-words"
      @update:model-value="setWords($event as number)"
    />
    <output class="number" aria-label="Words in an excerpt">{{ shape.words }}</output>
  </div>
  <div class="row">
    <b id="excerpt-before">Of them before the first match</b>
    <Slider
      :model-value="shape.wordsBefore"
      :min="0"
      :max="mostBefore(shape.words)"
      aria-labelledby="excerpt-before"
      @update:model-value="shape = { ...shape, wordsBefore: $event as number }"
    />
    <output class="number" aria-label="Words before the first match">{{ shape.wordsBefore }}</output>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 28px;
  gap: 16px;
  align-items: center;
  padding: 12px 0;
  border-bottom: 1px solid var(--line);
}
b {
  font-weight: 600;
}
output {
  text-align: end;
  font-weight: 650;
}
</style>

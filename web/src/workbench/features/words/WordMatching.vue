<script setup lang="ts">
import { computed } from 'vue'
import type { Words } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import WordSwitch from './WordSwitch.vue'

/** How strictly the words that visitors type must match. */
type Matching = Words['matching']
const { matching } = defineProps<{ matching: Matching }>()
const emit = defineEmits<{ change: [part: string, changed: Partial<Matching>] }>()
const NEEDED: readonly { value: Matching['needed']; label: string; help: string }[] = [
  { value: 'all', label: 'All', help: 'An item must hold every word, in any of its fields together.' },
  { value: 'most', label: 'Most', help: 'All of one or two words; of more, three quarters.' },
  { value: 'any', label: 'Any', help: 'One word is enough; items with more come first.' },
]
const PARTS: readonly { value: Matching['partOfWord']; label: string; help: string }[] = [
  { value: 'whole', label: 'A whole word', help: '“bird” finds “bird” and its other forms.' },
  { value: 'start', label: 'Its start', help: '“bird” finds “birdsong” too.' },
  { value: 'inside', label: 'Any part of it', help: '“bird” finds “hummingbird” too, from three letters on.' },
]
const LETTERS = [1, 2, 3, 4].map(value => ({ value, label: String(value) }))
const neededHelp = computed(() => NEEDED.find(one => one.value === matching.needed)?.help)
const partHelp = computed(() => PARTS.find(one => one.value === matching.partOfWord)?.help)
const typos = (changed: Partial<Matching['typos']>) => ({ typos: { ...matching.typos, ...changed } })
</script>

<template>
  <div class="choice">
    <span id="needed" class="label">Words needed</span>
    <ButtonChoice
      aria-labelledby="needed"
      :options="NEEDED"
      :model-value="matching.needed"
      @update:model-value="emit('change', 'needed', { needed: $event })"
    />
    <small class="quiet">{{ neededHelp }}</small>
  </div>
  <div class="choice">
    <span id="part" class="label">What is typed may be</span>
    <ButtonChoice
      aria-labelledby="part"
      :options="PARTS"
      :model-value="matching.partOfWord"
      @update:model-value="emit('change', 'partOfWord', { partOfWord: $event })"
    />
    <small class="quiet">{{ partHelp }}</small>
  </div>
  <div class="choice">
    <span id="letters" class="label">Search from how many letters on</span>
    <ButtonChoice
      aria-labelledby="letters"
      :options="LETTERS"
      :model-value="matching.fewestLetters"
      @update:model-value="emit('change', 'fewestLetters', { fewestLetters: $event })"
    />
  </div>
  <div class="switches">
    <WordSwitch
      name="typos"
      label="Forgive typos"
      hint="One slip in 4 to 7 letters, two from 8 on, where a word as typed is hardly found."
      :model-value="matching.typos.allowed"
      @update:model-value="emit('change', 'typos', typos({ allowed: $event }))"
    />
    <WordSwitch
      v-if="matching.typos.allowed"
      name="first-letter"
      label="Even in the first letter"
      hint="Finds more, and more that was not meant."
      :model-value="!matching.typos.firstLetterFixed"
      @update:model-value="emit('change', 'firstLetter', typos({ firstLetterFixed: !$event }))"
    />
    <WordSwitch
      name="stemming"
      label="Find other forms of a word"
      hint="“baking” finds “baked” too."
      :model-value="matching.stemming"
      @update:model-value="emit('change', 'stemming', { stemming: $event })"
    />
    <WordSwitch
      name="operators"
      label="Allow operators"
      hint="“exact words” in quotes, AND, OR, NOT or a minus, parentheses."
      :model-value="matching.operators"
      @update:model-value="emit('change', 'operators', { operators: $event })"
    />
  </div>
</template>

<style scoped>
.choice {
  display: grid;
  justify-items: start;
  gap: 6px;
  margin-top: 16px;
}
.switches {
  margin-top: 20px;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { counted } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'

/** Words that do not count unless a query holds nothing else; taken from a ready list, or added one by one. */
const { languages } = defineProps<{ languages: readonly string[] }>()
const stopWords = defineModel<readonly string[]>({ required: true })
const typed = ref('')
const ready = computed(() => typed.value.split(/[\s,]+/).filter(Boolean))
const names = new Intl.DisplayNames(['en'], { type: 'language' })
const { wrong, busy, attempt } = useAttempt()
const said = ref('')
function put(words: readonly string[]) {
  const all = [...new Set([...stopWords.value, ...words.map(word => word.toLowerCase())])]
  said.value = all.length === stopWords.value.length ? 'They were all there already.' : ''
  stopWords.value = all
}
function add() {
  put(ready.value)
  typed.value = ''
}
const take = (language: string) =>
  attempt(async () => {
    const list = await api.stopWords(language)
    if (list.length === 0) said.value = `There is no ready list for ${names.of(language)}.`
    else put(list)
  })
</script>

<template>
  <form class="line adding" @submit.prevent="add">
    <InputText v-model="typed" size="small" placeholder="the, of, and" aria-label="Words that do not count" />
    <Button type="submit" label="Add" size="small" :disabled="ready.length === 0" />
  </form>
  <div class="lists">
    <Button
      v-for="language in languages"
      :key="language"
      :label="`Take the list for ${names.of(language)}`"
      size="small"
      severity="secondary"
      outlined
      :loading="busy"
      @click="take(language)"
    />
    <Button
      v-if="stopWords.length > 0"
      label="Leave all"
      size="small"
      severity="secondary"
      text
      @click="stopWords = []"
    />
  </div>
  <p v-if="said" class="quiet" role="status">{{ said }}</p>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <template v-if="stopWords.length > 0">
    <p class="quiet">{{ counted(stopWords.length, 'word') }}; choose one to leave it.</p>
    <ul class="words" aria-label="Stop words">
      <li v-for="word in stopWords" :key="word">
        <button type="button" :aria-label="`Leave ${word}`" @click="stopWords = stopWords.filter(one => one !== word)">
          {{ word }}
          <i class="pi pi-times" aria-hidden="true" />
        </button>
      </li>
    </ul>
  </template>
</template>

<style scoped>
.adding {
  width: 100%;
}
.lists {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
.words {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  max-height: 180px;
  overflow-y: auto;
}
.words button {
  padding: 1px 8px;
  border: 1px solid var(--line);
  border-radius: 99px;
  background: var(--paper);
  font: inherit;
  font-size: 13px;
  color: inherit;
  cursor: pointer;
}
.words button:hover {
  border-color: var(--sea);
  background: var(--sea-wash);
}
.words .pi {
  font-size: 9px;
  color: var(--quiet);
}
p {
  font-size: 13px;
  margin-top: 6px;
}
</style>

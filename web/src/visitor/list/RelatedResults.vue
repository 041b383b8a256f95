<script setup lang="ts">
import { computed } from 'vue'
import type { Hit, Results } from '../../shared/contract'
import { useTexts } from '../texts'
import ResultList from './ResultList.vue'

/** Where all words together find nothing: items that some of them find. */
const { answer } = defineProps<{ answer: Results; target: string | undefined }>()
const emit = defineEmits<{ follow: [hit: Hit, event: Event] }>()
const { say } = useTexts()
/** As a list of their own, in which no picture opens. */
const list = computed<Results>(() => ({
  ...answer,
  hits: answer.related,
  list: { ...answer.list, layout: { ...answer.list.layout, viewer: false } },
}))
</script>

<template>
  <section v-if="answer.related.length > 0" part="related" :aria-label="say('related')">
    <h3 class="related-heading">{{ say('related') }}</h3>
    <ResultList :answer="list" :standing="null" :target="target" @follow="(hit, event) => emit('follow', hit, event)" />
  </section>
</template>

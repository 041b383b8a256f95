<script setup lang="ts">
import type { PopularValue, Results } from '../../shared/contract'
import { useTexts } from '../texts'

/** The ways on below a list: categories that others look through, and other queries. */
const { answer } = defineProps<{
  answer: Results
  /** Where a category with nothing else set is. */
  addressOfValue: (value: PopularValue) => string
  /** Where another query is answered. */
  addressOfQuery: (query: string) => string
}>()
const emit = defineEmits<{ narrow: [value: PopularValue]; ask: [query: string] }>()
const { say } = useTexts()
</script>

<template>
  <nav v-if="answer.popular.length > 0" class="see-also" part="popular" :aria-label="say('popularCategories')">
    <h3 aria-hidden="true">{{ say('popularCategories') }}</h3>
    <a
      v-for="value in answer.popular"
      :key="value.value"
      :href="addressOfValue(value)"
      @click.exact.prevent="emit('narrow', value)"
    >
      {{ value.label }} <span class="quiet">{{ value.count }}</span>
    </a>
  </nav>
  <nav v-if="answer.seeAlso.length > 0" class="see-also" part="see-also" :aria-label="say('seeAlso')">
    <h3 aria-hidden="true">{{ say('seeAlso') }}</h3>
    <a
      v-for="query in answer.seeAlso"
      :key="query"
      :href="addressOfQuery(query)"
      @click.exact.prevent="emit('ask', query)"
    >
      {{ query }}
    </a>
  </nav>
</template>

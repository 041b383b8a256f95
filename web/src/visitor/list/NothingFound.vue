<script setup lang="ts">
import { computed } from 'vue'
import type { Results } from '../../shared/contract'
import { setIn } from '../filters/filterState'
import type { FilterChoice } from '../filters/useFilterChoice'
import { useTexts } from '../texts'

/** The ways on where nothing is found: one filter less, with what is found then; everything. */
const { answer, choice } = defineProps<{ answer: Results; choice: FilterChoice }>()
const emit = defineEmits<{ everything: [] }>()
const texts = useTexts()
const { say } = texts
const ways = computed(() =>
  answer.withoutOne.flatMap(({ filter: key, total }) => {
    const filter = answer.filters.find(one => one.key === key)
    const label =
      filter &&
      setIn(filter, texts)
        .map(one => one.label)
        .join(', ')
    return label ? [{ key, label, total }] : []
  }),
)
</script>

<template>
  <p class="note">{{ say('nothingHint') }}</p>
  <ul v-if="ways.length > 0" class="ways" part="ways">
    <li v-for="{ key, label, total } in ways" :key="key">
      <button type="button" class="again" @click="choice.put({ [key]: [] })">{{ say('without', { label }) }}</button>
      <span>{{ say('count', { count: total }) }}</span>
    </li>
  </ul>
  <p v-if="answer.list.shows.nothing.everything">
    <button type="button" class="again" @click="emit('everything')">{{ say('everything') }}</button>
  </p>
</template>

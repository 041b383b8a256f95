<script setup lang="ts">
import { ref, watch } from 'vue'
import type { FilterShape } from '../../shared/contract'
import type { Filters } from '../address'

/** Words that must stand in one field. */
const { filter } = defineProps<{ filter: FilterShape }>()
const emit = defineEmits<{ put: [changes: Filters] }>()
const typed = ref(filter.text)
watch(
  () => filter.text,
  now => {
    typed.value = now
  },
)
const done = () => emit('put', { [filter.key]: typed.value.trim() === '' ? [] : [typed.value.trim()] })
</script>

<template>
  <input
    :value="typed"
    type="search"
    class="typed"
    :aria-label="filter.label"
    autocomplete="off"
    @input="typed = ($event.target as HTMLInputElement).value"
    @change="done"
    @keydown.enter.prevent="done"
  />
</template>

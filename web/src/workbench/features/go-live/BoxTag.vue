<script setup lang="ts">
import { computed, ref } from 'vue'
import ChoiceField from '../../kit/ChoiceField.vue'
import CopyBox from '../../kit/CopyBox.vue'
import { useCarryingPages } from '../places/useCarryingPages'

/** The tag of a box, or of filters alone, and the results page that it leads to. */
const { search, script } = defineProps<{
  search: string
  /** The line that loads the elements. */
  script: string
}>()
const KINDS = [
  { value: 'tidy-search', label: 'The search box' },
  { value: 'tidy-filters', label: 'Filters alone' },
] as const
const kind = ref<(typeof KINDS)[number]['value']>('tidy-search')
/** A list takes no null; no page is called so. */
const OF_SEARCH = '*'
const carrying = useCarryingPages(() => search)
const pages = computed(() => [{ value: OF_SEARCH, label: 'Its results page' }, ...carrying.value])
const page = ref(OF_SEARCH)
const tag = computed(() => {
  const leads = page.value === OF_SEARCH ? '' : ` results-page="${page.value}"`
  return `${script}

<${kind.value} search="${search}"${leads}></${kind.value}>`
})
</script>

<template>
  <div class="wanted">
    <ChoiceField v-model="kind" label="What stands there" :options="KINDS" />
    <ChoiceField v-if="carrying.length > 0" v-model="page" label="It leads to" :options="pages" />
  </div>
  <CopyBox label="Tag to put there" :text="tag" />
</template>

<style scoped>
.wanted {
  display: grid;
  gap: 10px;
  width: 100%;
}
</style>

<script lang="ts">
const filterSheet = late(() => import('./FilterSheet.vue').then(one => one.default))
</script>

<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FilterShape } from '../../shared/contract'
import { late } from '../../shared/late'
import FilterList from './FilterList.vue'
import { valuesIn } from './filterState'
import { useTexts } from '../texts'
import type { FilterChoice } from './useFilterChoice'
import { useStyle } from '../look/useStyle'
import css from './filters.css?inline'

useStyle(css)

const { say } = useTexts()
/**
 * The filters of one place: in view, or behind a button and then where they stand or over the page. Where a choice does
 * not hold at once, a button makes it.
 */
const {
  filters,
  choice,
  opened,
  atOnce,
  over = false,
  lit = null,
  across = false,
} = defineProps<{
  filters: readonly FilterShape[]
  choice: FilterChoice
  opened: 'in-view' | 'unfolding' | 'over'
  atOnce: boolean
  /** Whether they open over the page whatever the owner says, as they do where there is no room. */
  over?: boolean
  lit?: string | null
  /** One beside the other, as far as there is room. */
  across?: boolean
}>()
const isSheetOpen = ref(false)
const unfolded = ref(false)
const way = computed(() => (over ? 'over' : opened))
const set = computed(() => filters.reduce((sum, filter) => sum + valuesIn(filter).length, 0))
const showResults = computed(() => {
  const total = choice.total.value ?? 0
  return total === 0 ? say('showNothing') : say('showResults', { count: total })
})
async function open() {
  if (way.value === 'over') await filterSheet.load()
  if (way.value === 'over') isSheetOpen.value = true
  else unfolded.value = !unfolded.value
}
</script>

<template>
  <button
    v-if="way !== 'in-view'"
    type="button"
    class="chip open"
    part="filters-button"
    :aria-haspopup="way === 'over' ? 'dialog' : undefined"
    :aria-expanded="way === 'unfolding' ? unfolded : undefined"
    @click="open"
  >
    {{ say('filters') }}
    <span v-if="set > 0">{{ set }}</span>
  </button>
  <div v-if="way === 'in-view' || (way === 'unfolding' && unfolded)" class="group" :class="{ across }">
    <FilterList :filters="filters" :lit="lit" @tick="choice.tick" @put="choice.put" />
    <div v-if="!atOnce" class="acts">
      <button type="button" class="done" part="done" @click="choice.apply">
        {{ showResults }}
      </button>
      <button v-if="choice.changed.value" type="button" class="again" @click="choice.clear">
        {{ say('clearAll') }}
      </button>
    </div>
  </div>
  <component
    :is="filterSheet.came()"
    v-if="way === 'over' && isSheetOpen"
    :filters="filters"
    :choice="choice"
    :done="showResults"
    :lit="lit"
    :drawer="!over"
    @apply="choice.apply"
    @closed="isSheetOpen = false"
  />
</template>

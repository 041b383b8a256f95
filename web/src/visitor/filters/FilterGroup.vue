<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FilterShape } from '../../shared/contract'
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
const sheet = ref<HTMLDialogElement>()
const unfolded = ref(false)
const way = computed(() => (over ? 'over' : opened))
const set = computed(() => filters.reduce((sum, filter) => sum + valuesIn(filter).length, 0))
const showResults = computed(() => {
  const total = choice.total.value ?? 0
  return total === 0 ? say('showNothing') : say('showResults', { count: total })
})
function apply() {
  choice.apply()
  sheet.value?.close()
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
    @click="way === 'over' ? sheet?.showModal() : (unfolded = !unfolded)"
  >
    {{ say('filters') }}
    <span v-if="set > 0">{{ set }}</span>
  </button>
  <div v-if="way === 'in-view' || (way === 'unfolding' && unfolded)" class="group" :class="{ across }">
    <FilterList :filters="filters" :lit="lit" @tick="choice.tick" @put="choice.put" />
    <div v-if="!atOnce" class="acts">
      <button type="button" class="done" part="done" @click="apply">
        {{ showResults }}
      </button>
      <button v-if="choice.changed.value" type="button" class="again" @click="choice.clear">
        {{ say('clearAll') }}
      </button>
    </div>
  </div>
  <dialog
    v-if="way === 'over'"
    ref="sheet"
    class="sheet"
    :class="{ drawer: !over }"
    :aria-label="say('filters')"
    @click.self="sheet?.close()"
  >
    <div class="sheet-top">
      <strong>{{ say('filters') }}</strong>
      <button v-if="choice.changed.value" type="button" class="again" @click="choice.clear">
        {{ say('clearAll') }}
      </button>
      <button type="button" class="turn" :aria-label="say('close')" @click="sheet?.close()">
        <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m4 4 10 10m0-10-10 10" /></svg>
      </button>
    </div>
    <div class="sheet-list"><FilterList :filters="filters" :lit="lit" @tick="choice.tick" @put="choice.put" /></div>
    <button type="button" class="done" part="done" @click="apply">
      {{ showResults }}
    </button>
  </dialog>
</template>

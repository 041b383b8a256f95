<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { FilterShape } from '../../shared/contract'
import { useStyle } from '../look/useStyle'
import { useTexts } from '../texts'
import FilterList from './FilterList.vue'
import css from './sheet.css?inline'
import type { FilterChoice } from './useFilterChoice'

useStyle(css)

/** The filters of one place over the page, where they stand from the moment that somebody wants them. */
const { filters, choice, done } = defineProps<{
  filters: readonly FilterShape[]
  choice: FilterChoice
  /** What stands on the button that ends it. */
  done: string
  lit: string | null
  /** Whether it comes from the side; else from below. */
  drawer: boolean
}>()
const emit = defineEmits<{ apply: []; closed: [] }>()
const { say } = useTexts()
const sheet = ref<HTMLDialogElement>()
onMounted(() => sheet.value?.showModal())
</script>

<template>
  <dialog
    ref="sheet"
    class="sheet"
    :class="{ drawer }"
    :aria-label="say('filters')"
    @click.self="sheet?.close()"
    @close="emit('closed')"
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
    <button type="button" class="done" part="done" @click="(emit('apply'), sheet?.close())">
      {{ done }}
    </button>
  </dialog>
</template>

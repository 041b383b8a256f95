<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import type { FilterShape } from '../shared/contract'
import { flattened } from './filterState'
import { english as texts } from './texts'

/** Values of which one holds, as a list or folded into a menu; or several as chips side by side. */
const { filter } = defineProps<{ filter: FilterShape }>()
const emit = defineEmits<{ tick: [value: string], set: [values: string[]] }>()
const name = useId()
const all = ref(false)
const values = computed(() => flattened(filter.values))
const shown = computed(() => (all.value ? values.value : values.value.filter((value, n) => n < filter.cutAfter || value.selected)))
const chosen = computed(() => values.value.find(value => value.selected)?.value ?? '')
const number = (count: number) => new Intl.NumberFormat(document.documentElement.lang || undefined).format(count)
const choose = (value: string) => emit('set', value === '' ? [] : [value])
</script>

<template>
  <select v-if="filter.control === 'menu'" class="typed" :aria-label="filter.label" :value="chosen" @change="choose(($event.target as HTMLSelectElement).value)">
    <option value="">{{ filter.neutral || texts.any }}</option>
    <option v-for="value in values" :key="value.value" :value="value.value" :disabled="value.count === 0 && !value.selected">{{ '\u2003'.repeat(value.level) }}{{ value.label }}{{ filter.counts ? ` (${number(value.count)})` : '' }}</option>
  </select>
  <ul v-else-if="filter.control === 'one-of'" class="values">
    <li class="value"><label><input type="radio" :name="name" :checked="chosen === ''" @change="choose('')"><span>{{ filter.neutral || texts.any }}</span></label></li>
    <li v-for="value in shown" :key="value.value" class="value" :class="{ none: value.count === 0 && !value.selected }" :style="{ paddingInlineStart: `${value.level * 22}px` }">
      <label><input type="radio" :name="name" :checked="value.selected" :disabled="value.count === 0 && !value.selected" @change="choose(value.value)"><span>{{ value.label }}</span></label>
      <span v-if="filter.counts" class="number">{{ number(value.count) }}</span>
    </li>
  </ul>
  <div v-else class="tags">
    <button v-for="value in shown" :key="value.value" type="button" class="tag" :aria-pressed="value.selected" :disabled="value.count === 0 && !value.selected" @click="emit('tick', value.value)">{{ value.label }}<span v-if="filter.counts" class="number">{{ number(value.count) }}</span></button>
  </div>
  <button v-if="filter.control !== 'menu' && shown.length < values.length" type="button" class="more" @click="all = true">{{ texts.more(values.length - shown.length) }}</button>
  <button v-else-if="all && values.length > filter.cutAfter" type="button" class="more" @click="all = false">{{ texts.fewer }}</button>
</template>

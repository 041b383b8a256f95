<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { FilterBounds, FilterShape } from '../../shared/contract'
import { say } from '../texts'

/**
 * One or two bounds of numbers or days: typed, and drawn where both ends of a number are free. What is drawn is for
 * pointers alone: its two ends may lie on one another, and keys and screen readers have the typed ones.
 */
const { filter, bounds } = defineProps<{ filter: FilterShape; bounds: FilterBounds }>()
const emit = defineEmits<{ set: [values: string[]] }>()
const from = ref('')
const to = ref('')
watch(
  () => [bounds.from, bounds.to],
  () => {
    from.value = bounds.from ?? ''
    to.value = bounds.to ?? ''
  },
  { immediate: true },
)
const days = computed(() => filter.control === 'span')
const drawn = computed(() => filter.control === 'range' && bounds.min !== null && bounds.min !== bounds.max)
/** The ends of the drawn line: whole steps around what there is. */
const least = computed(() => Math.floor(Number(bounds.min) / bounds.step) * bounds.step)
const greatest = computed(() => Math.ceil(Number(bounds.max) / bounds.step) * bounds.step)
const low = computed(() => (from.value === '' ? least.value : Number(from.value)))
const high = computed(() => (to.value === '' ? greatest.value : Number(to.value)))
const most = computed(() => Math.max(1, ...bounds.bars))
const isIn = (bar: number) =>
  bounds.barsFrom + (bar + 1) * bounds.barWidth > low.value && bounds.barsFrom + bar * bounds.barWidth <= high.value
const share = (value: number) =>
  `${(100 * (Math.min(Math.max(value, least.value), greatest.value) - least.value)) / (greatest.value - least.value)}%`
/** Steps of a tenth add up to 0.30000000000000004. */
const plain = (value: number) => String(Number(value.toPrecision(12)))

function draw(end: 'from' | 'to', value: number) {
  // The two ends push, and never pass, each other; at the end of the line a bound is none.
  if (end === 'from') from.value = value <= least.value ? '' : plain(Math.min(value, high.value))
  else to.value = value >= greatest.value ? '' : plain(Math.max(value, low.value))
}
function done() {
  const swapped =
    from.value !== '' && to.value !== '' && (days.value ? from.value > to.value : Number(from.value) > Number(to.value))
  const [first, last] = swapped ? [to.value, from.value] : [from.value, to.value]
  emit('set', first === '' && last === '' ? [] : [`${first}..${last}`])
}
</script>

<template>
  <div class="bounds">
    <div v-if="drawn" class="drawn" aria-hidden="true">
      <div class="bars">
        <span
          v-for="(count, bar) in bounds.bars"
          :key="bar"
          :class="{ in: isIn(bar) }"
          :style="{ height: count === 0 ? '0' : `${8 + (92 * count) / most}%` }"
        />
      </div>
      <div class="line">
        <span :style="{ insetInlineStart: share(low), insetInlineEnd: `calc(100% - ${share(high)})` }" />
      </div>
      <input
        type="range"
        :min="least"
        :max="greatest"
        :step="bounds.step"
        :value="low"
        tabindex="-1"
        @input="
          draw('from', Number(($event.target as HTMLInputElement).value))
          ;($event.target as HTMLInputElement).value = String(low)
        "
        @change="done"
      />
      <input
        type="range"
        :min="least"
        :max="greatest"
        :step="bounds.step"
        :value="high"
        tabindex="-1"
        @input="
          draw('to', Number(($event.target as HTMLInputElement).value))
          ;($event.target as HTMLInputElement).value = String(high)
        "
        @change="done"
      />
    </div>
    <div class="ends" :class="{ days }">
      <label v-if="filter.control !== 'at-most'">
        <span>{{ filter.control === 'at-least' ? say('atLeast') : say('from') }}</span>
        <input
          v-model="from"
          class="typed"
          :type="days ? 'date' : 'number'"
          :step="days ? undefined : 'any'"
          :min="days ? (bounds.min ?? undefined) : undefined"
          :max="days ? (bounds.max ?? undefined) : undefined"
          :placeholder="bounds.min ?? ''"
          :aria-label="say('labelFrom', { label: filter.label })"
          @change="done"
        />
      </label>
      <label v-if="filter.control !== 'at-least'">
        <span>{{ filter.control === 'at-most' ? say('atMost') : say('to') }}</span>
        <input
          v-model="to"
          class="typed"
          :type="days ? 'date' : 'number'"
          :step="days ? undefined : 'any'"
          :min="days ? (bounds.min ?? undefined) : undefined"
          :max="days ? (bounds.max ?? undefined) : undefined"
          :placeholder="bounds.max ?? ''"
          :aria-label="say('labelTo', { label: filter.label })"
          @change="done"
        />
      </label>
      <span v-if="filter.unit" class="unit">{{ filter.unit }}</span>
    </div>
  </div>
</template>

<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { FilterShape } from '../../shared/contract'
import type { Filters } from '../address'
import { useTexts } from '../texts'
import { useStyle } from '../look/useStyle'
import css from './bounds.css?inline'

useStyle(css)

const { say } = useTexts()
/**
 * One or two bounds of numbers or days: typed, and drawn where both ends of a number are free. What is drawn is for
 * pointers alone: its two ends may lie on one another, and keys and screen readers have the typed ones.
 */
const { filter } = defineProps<{ filter: FilterShape }>()
const emit = defineEmits<{ put: [changes: Filters] }>()
const bounds = computed(() => filter.bounds!)
const from = ref('')
const to = ref('')
watch(
  () => [bounds.value.from, bounds.value.to],
  () => {
    from.value = bounds.value.from ?? ''
    to.value = bounds.value.to ?? ''
  },
  { immediate: true },
)
const days = computed(() => filter.control === 'span')
const drawn = computed(
  () => filter.control === 'range' && bounds.value.min !== null && bounds.value.min !== bounds.value.max,
)
/** The ends of the drawn line: whole steps around what there is. */
const least = computed(() => Math.floor(Number(bounds.value.min) / bounds.value.step) * bounds.value.step)
const greatest = computed(() => Math.ceil(Number(bounds.value.max) / bounds.value.step) * bounds.value.step)
const low = computed(() => (from.value === '' ? least.value : Number(from.value)))
const high = computed(() => (to.value === '' ? greatest.value : Number(to.value)))
const most = computed(() => Math.max(1, ...bounds.value.bars))
const isIn = (bar: number) =>
  bounds.value.barsFrom + (bar + 1) * bounds.value.barWidth > low.value &&
  bounds.value.barsFrom + bar * bounds.value.barWidth <= high.value
const share = (value: number) =>
  `${(100 * (Math.min(Math.max(value, least.value), greatest.value) - least.value)) / (greatest.value - least.value)}%`
/** Steps of a tenth add up to 0.30000000000000004. */
const plain = (value: number) => String(Number(value.toPrecision(12)))

type End = 'from' | 'to'
const ENDS: readonly End[] = ['from', 'to']
const drawnAt = (end: End) => (end === 'from' ? low.value : high.value)
/** The two ends push, and never pass, each other; at the end of the line a bound is none. */
function slide(end: End, handle: HTMLInputElement) {
  const value = Number(handle.value)
  if (end === 'from') from.value = value <= least.value ? '' : plain(Math.min(value, high.value))
  else to.value = value >= greatest.value ? '' : plain(Math.max(value, low.value))
  handle.value = String(drawnAt(end))
}
/** What is typed, end by end; a name that the filter's own label says already is not said again. */
const typedEnds = computed(() => {
  const named = (name: string) => (name.toLowerCase() === filter.label.toLowerCase() ? '' : name)
  const first = {
    end: 'from' as const,
    value: from,
    farthest: bounds.value.min,
    name: named(filter.control === 'at-least' ? say('atLeast') : say('from')),
    label: say('labelFrom', { label: filter.label }),
  }
  const last = {
    end: 'to' as const,
    value: to,
    farthest: bounds.value.max,
    name: named(filter.control === 'at-most' ? say('atMost') : say('to')),
    label: say('labelTo', { label: filter.label }),
  }
  if (filter.control === 'at-least') return [first]
  return filter.control === 'at-most' ? [last] : [first, last]
})
function done() {
  const swapped =
    from.value !== '' && to.value !== '' && (days.value ? from.value > to.value : Number(from.value) > Number(to.value))
  const [first, last] = swapped ? [to.value, from.value] : [from.value, to.value]
  emit('put', { [filter.key]: first === '' && last === '' ? [] : [`${first}..${last}`] })
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
        v-for="end in ENDS"
        :key="end"
        type="range"
        :min="least"
        :max="greatest"
        :step="bounds.step"
        :value="drawnAt(end)"
        tabindex="-1"
        @input="slide(end, $event.target as HTMLInputElement)"
        @change="done"
      />
    </div>
    <div class="ends" :class="{ days }">
      <label v-for="one in typedEnds" :key="one.end">
        <span v-if="one.name">{{ one.name }}</span>
        <input
          :value="one.value.value"
          class="typed"
          :type="days ? 'date' : 'number'"
          :step="days ? undefined : 'any'"
          :min="days ? (bounds.min ?? undefined) : undefined"
          :max="days ? (bounds.max ?? undefined) : undefined"
          :placeholder="one.farthest ?? ''"
          :aria-label="one.label"
          @input="one.value.value = ($event.target as HTMLInputElement).value"
          @change="done"
        />
      </label>
      <span v-if="filter.unit" class="unit">{{ filter.unit }}</span>
    </div>
  </div>
</template>

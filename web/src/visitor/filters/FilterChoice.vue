<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import type { FilterShape } from '../../shared/contract'
import type { Filters } from '../address'
import { safeAddress } from '../../shared/http'
import { flattened } from './filterState'
import { useTexts } from '../texts'
import { useStyle } from '../look/useStyle'
import sideBySide from './choice.css?inline'
import below from './values.css?inline'

for (const css of [sideBySide, below]) useStyle(css)

const { say, written } = useTexts()
/**
 * Values of which one holds, as a list or folded into a menu; or several side by side, as words or with a picture each.
 */
const { filter } = defineProps<{ filter: FilterShape }>()
const emit = defineEmits<{ tick: [value: string]; put: [changes: Filters] }>()
const name = useId()
const all = ref(false)
const values = computed(() => flattened(filter.values))
const shown = computed(() =>
  all.value ? values.value : values.value.filter((value, n) => n < filter.cutAfter || value.selected),
)
/**
 * The values by the heading they stand under; one group without a name where there are none. What lies below a value
 * has its heading.
 */
const groups = computed(() => {
  const found: { heading?: string | undefined; values: typeof shown.value }[] = []
  for (const value of filter.control === 'menu' ? values.value : shown.value) {
    let group = found.at(-1)
    const heading = value.level > 0 ? group?.heading : value.heading
    if (!group || group.heading !== heading) {
      group = { heading, values: [] }
      found.push(group)
    }
    group.values.push(value)
  }
  return found
})
const chosen = computed(() => values.value.find(value => value.selected)?.value ?? '')
const choose = (value: string) => emit('put', { [filter.key]: value === '' ? [] : [value] })
const isColour = (picture?: string) => picture?.startsWith('#')
const menuLabel = (value: { level: number; label: string; count: number }) =>
  `${'\u2003'.repeat(value.level)}${value.label}${filter.counts ? ` (${written(value.count)})` : ''}`
</script>

<template>
  <select
    v-if="filter.control === 'menu'"
    class="typed"
    :aria-label="filter.label"
    :value="chosen"
    @change="choose(($event.target as HTMLSelectElement).value)"
  >
    <option value="">{{ filter.neutral }}</option>
    <template v-for="group in groups" :key="group.heading">
      <optgroup v-if="group.heading" :label="group.heading">
        <option
          v-for="value in group.values"
          :key="value.value"
          :value="value.value"
          :disabled="value.count === 0 && !value.selected"
        >
          {{ menuLabel(value) }}
        </option>
      </optgroup>
      <template v-else>
        <option
          v-for="value in group.values"
          :key="value.value"
          :value="value.value"
          :disabled="value.count === 0 && !value.selected"
        >
          {{ menuLabel(value) }}
        </option>
      </template>
    </template>
  </select>
  <ul v-else-if="filter.control === 'one-of'" class="values">
    <li class="value">
      <label>
        <input type="radio" :name="name" :checked="chosen === ''" @change="choose('')" />
        <span>{{ filter.neutral }}</span>
      </label>
    </li>
    <template v-for="group in groups" :key="group.heading">
      <li v-if="group.heading" class="heading-of">{{ group.heading }}</li>
      <li
        v-for="value in group.values"
        :key="value.value"
        class="value"
        :class="{ none: value.count === 0 && !value.selected }"
        :style="{ paddingInlineStart: `${value.level * 22}px` }"
      >
        <label>
          <input
            type="radio"
            :name="name"
            :checked="value.selected"
            :disabled="value.count === 0 && !value.selected"
            @change="choose(value.value)"
          />
          <span>{{ value.label }}</span>
        </label>
        <span v-if="filter.counts" class="number">{{ written(value.count) }}</span>
      </li>
    </template>
  </ul>
  <template v-for="group in groups" v-else :key="group.heading">
    <strong v-if="group.heading" class="heading-of">{{ group.heading }}</strong>
    <div class="tags" :class="{ pictures: filter.control === 'pictures' }">
      <button
        v-for="value in group.values"
        :key="value.value"
        type="button"
        class="tag"
        :aria-pressed="value.selected"
        :disabled="value.count === 0 && !value.selected"
        @click="emit('tick', value.value)"
      >
        <template v-if="filter.control === 'pictures'">
          <span v-if="isColour(value.picture)" class="swatch" :style="{ background: value.picture }" />
          <img v-else-if="safeAddress(value.picture)" :src="safeAddress(value.picture)!" alt="" loading="lazy" />
          <span v-else class="swatch without" />
        </template>
        {{ value.label }}
        <span v-if="filter.counts" class="number">{{ written(value.count) }}</span>
      </button>
    </div>
  </template>
  <button
    v-if="filter.control !== 'menu' && shown.length < values.length"
    type="button"
    class="more"
    @click="all = true"
  >
    {{ say('more', { count: values.length - shown.length }) }}
  </button>
  <button v-else-if="all && values.length > filter.cutAfter" type="button" class="more" @click="all = false">
    {{ say('fewer') }}
  </button>
</template>

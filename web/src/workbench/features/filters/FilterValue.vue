<script setup lang="ts">
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, nextTick, ref, toRef, useTemplateRef } from 'vue'
import type { CountedValue, SourceOf } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'
import IconButton from '../../kit/IconButton.vue'
import { settingsOf } from '../../kit/settingsOf'
import { canCountAs, isOff, isOffWithAbove, isOn, withEntry, withMerged, withTurned } from './filterValues'
import ValuePicture from './ValuePicture.vue'
import { useDesignRules } from '../design-rules/useDesignRules'

/** One value of a filter: whether it is on the list, what visitors read for it, what it counts as. */
const { value, values, nameOf } = defineProps<{
  value: CountedValue
  /** All there are. */
  values: readonly CountedValue[]
  nameOf: (value: string) => string
  /** Whether each value has a colour or a picture. */
  pictures: boolean
}>()
const source = defineModel<SourceOf<'category'>>({ required: true })
const settings = settingsOf(source)
const offered = toRef(settings, 'offered')
const rules = settingsOf(offered)
const looks = settingsOf(toRef(settings, 'looks'))
const key = computed(() => value.value)
const name = computed(() => value.names.at(-1) ?? value.value)
const merged = computed(() => offered.value.merged)
const countsAs = computed(() => merged.value[key.value])
const isMerging = ref(false)
const targets = computed(() =>
  values
    .filter(other => canCountAs(merged.value, key.value, other.value))
    .map(other => ({ value: other.value, label: other.names.join(' › ') })),
)
function merge(target: string | null) {
  isMerging.value = false
  rules.merged = withMerged(merged.value, key.value, target)
}
const isLabelling = ref(false)
const label = useTemplateRef<{ $el: HTMLInputElement }>('label')
async function write() {
  isLabelling.value = true
  await nextTick()
  label.value?.$el.focus()
}
function labelled(text: string) {
  isLabelling.value = false
  const labels = withEntry(looks.labels, key.value, text === name.value ? '' : text)
  if (labels[key.value] !== looks.labels[key.value]) looks.labels = labels
}
const { limit } = useDesignRules()
</script>

<template>
  <li
    :class="{ off: (!offered.picked && isOff(offered, key)) || countsAs }"
    :style="{ paddingLeft: `${(value.names.length - 1) * 20}px` }"
  >
    <label>
      <input
        type="checkbox"
        :checked="isOn(offered, key)"
        :disabled="(!offered.picked && isOffWithAbove(offered, key)) || countsAs !== undefined"
        @change="offered = withTurned(offered, key)"
      />
      {{ name }}
    </label>
    <InputText
      v-if="isLabelling"
      ref="label"
      size="small"
      :maxlength="limit('filters.source.looks.labels')?.most"
      :default-value="source.looks.labels[key] ?? name"
      :aria-label="`What visitors read for ${name}`"
      @keydown.enter.prevent="($event.target as HTMLInputElement).blur()"
      @blur="labelled(($event.target as HTMLInputElement).value.trim())"
    />
    <Select
      v-else-if="isMerging"
      :model-value="''"
      :options="targets"
      option-label="label"
      option-value="value"
      filter
      size="small"
      class="target"
      :aria-label="`What ${name} counts as`"
      placeholder="Counts as…"
      @update:model-value="merge($event)"
      @hide="isMerging = false"
    />
    <template v-else-if="countsAs">
      <em class="quiet">counts as {{ nameOf(countsAs) }}</em>
      <IconButton icon="times" :label="`Let ${name} be itself again`" @click="merge(null)" />
    </template>
    <template v-else>
      <em v-if="source.looks.labels[key]" class="quiet">“{{ source.looks.labels[key] }}”</em>
      <IconButton icon="pencil" :label="`What visitors read for ${name}`" @click="write" />
      <IconButton
        icon="link"
        title="Count as another value"
        :label="`Let ${name} count as another value`"
        @click="isMerging = true"
      />
    </template>
    <ValuePicture
      v-if="pictures"
      :name="name"
      :model-value="source.looks.pictures[key] ?? ''"
      @update:model-value="looks.pictures = withEntry(source.looks.pictures, key, $event)"
    />
    <span class="number quiet">{{ formatNumber(value.count) }}</span>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  min-height: 32px;
}
label {
  flex: 1;
  min-width: 0;
  display: flex;
  align-items: center;
  gap: 8px;
  overflow-wrap: anywhere;
  cursor: pointer;
}
input[type='checkbox'] {
  width: 16px;
  height: 16px;
  margin: 0;
  accent-color: var(--sea);
}
.p-inputtext,
.target {
  width: 150px;
}
.number {
  min-width: 34px;
  text-align: end;
}
.off label {
  text-decoration: line-through;
  color: var(--quiet);
}
</style>

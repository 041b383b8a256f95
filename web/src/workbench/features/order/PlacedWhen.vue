<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import type { When } from './placements'

/** Where in its tier something stands, and from which day until which. */
const { of } = defineProps<{ of: string }>()
const when = defineModel<When>({ required: true })
const change = (changed: Partial<When>) => {
  when.value = { place: when.value.place, from: when.value.from, until: when.value.until, ...changed }
}
const DAYS = [
  { end: 'from', name: 'First day' },
  { end: 'until', name: 'Last day' },
] as const
</script>

<template>
  <div class="when">
    <label>
      place
      <InputNumber
        :model-value="when.place"
        :min="1"
        :max="1000"
        size="small"
        placeholder="any"
        :aria-label="`Place of ${of} in the tier`"
        @update:model-value="change({ place: $event })"
      />
    </label>
    <label v-for="{ end, name } in DAYS" :key="end">
      {{ end }}
      <InputText
        type="date"
        size="small"
        :model-value="when[end] ?? ''"
        :aria-label="`${name} of ${of}`"
        @change="change({ [end]: ($event.target as HTMLInputElement).value || null })"
      />
    </label>
    <slot />
  </div>
</template>

<style scoped>
.when {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px 8px;
}
label {
  display: grid;
  gap: 1px;
  font-size: 12px;
  color: var(--quiet);
}
.when :deep(input) {
  width: 62px;
  font-size: 13px;
  padding: 4px 6px;
}
.when :deep(input[type='date']) {
  width: 118px;
}
</style>

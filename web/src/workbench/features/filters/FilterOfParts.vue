<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { Filter, SourceOf } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FilterValues from './FilterValues.vue'

/** The fields of which a filter is joined, and their values. */
const { atWork } = defineProps<{
  search: string
  /** A filter as it works over the kind that its field has. */
  atWork: (filter: Filter) => Filter
}>()
const emit = defineEmits<{ apart: [] }>()
const joint = defineModel<SourceOf<'joint'>>({ required: true })
const HEADINGS = [
  { value: true, label: 'Under a heading each' },
  { value: false, label: 'In one list' },
]
const parts = computed(() => joint.value.parts.map(atWork))
/** The part whose values are being chosen. */
const open = ref<string | null>(null)
const put = (at: number, source: SourceOf<'category'>) => {
  joint.value = {
    ...joint.value,
    parts: joint.value.parts.map((one, n) => (n === at ? { ...one, source } : one)),
  }
}
</script>

<template>
  <h3 class="part">Joined of {{ joint.parts.length }} fields</h3>
  <ChoiceField
    label="Values"
    buttons
    :options="HEADINGS"
    :model-value="joint.headings"
    @update:model-value="joint = { ...joint, headings: $event }"
  />
  <div v-for="(part, n) in parts" :key="part.head.key" class="joined">
    <button
      type="button"
      class="opens"
      :aria-expanded="open === part.head.key"
      @click="open = open === part.head.key ? null : part.head.key"
    >
      <i :class="open === part.head.key ? 'pi pi-angle-down' : 'pi pi-angle-right'" aria-hidden="true" />
      {{ part.head.label }}
    </button>
    <FilterValues
      v-if="open === part.head.key && part.source.of === 'category'"
      :search="search"
      :model-value="part.source"
      @update:model-value="put(n, $event)"
    />
    <small v-else-if="open === part.head.key" class="quiet"
      >Its yes stands in the list, as “{{ part.head.label }}”.</small
    >
  </div>
  <Button class="apart" label="Take apart" size="small" severity="secondary" outlined @click="emit('apart')" />
</template>

<style scoped>
.part {
  margin: 6px 0 0;
  padding-top: 12px;
  border-top: 1px solid var(--line);
  font-size: 14px;
  font-weight: 650;
}
.joined {
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 2px 10px;
}
.joined > :last-child:not(button) {
  padding-bottom: 8px;
}
.opens {
  display: flex;
  align-items: center;
  gap: 6px;
  width: 100%;
  min-height: 32px;
  padding: 0;
  border: 0;
  background: none;
  font: inherit;
  font-weight: 600;
  color: inherit;
  cursor: pointer;
}
.apart {
  justify-self: start;
}
</style>

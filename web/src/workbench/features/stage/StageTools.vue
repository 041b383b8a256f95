<script setup lang="ts">
import Button from 'primevue/button'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import { PLACES, WIDTHS, type StagePlace, type StageWidth } from './stagePage'

/** What the owner sees on the stage, how wide, and the way to ask why. */
const { places } = defineProps<{ places: readonly { value: StagePlace; label: string }[] }>()
const place = defineModel<StagePlace>('place', { required: true })
const width = defineModel<StageWidth>('width', { required: true })
const emit = defineEmits<{ why: [] }>()
</script>

<template>
  <div class="tools">
    <ButtonChoice v-model="place" label="Place on the site" :options="places" />
    <ButtonChoice v-model="width" label="Width" :options="WIDTHS" />
    <div class="end">
      <span v-if="places.length <= PLACES.length" class="hint quiet">
        <kbd>/</kbd>
        to type
      </span>
      <Button
        label="Why?"
        icon="pi pi-question-circle"
        size="small"
        severity="secondary"
        outlined
        title="Why an item is found, or not (W)"
        @click="emit('why')"
      />
    </div>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-bottom: 12px;
}
.end {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-left: auto;
}
.hint {
  font-size: 12.5px;
  color: #4f5d64;
  white-space: nowrap;
}
.tools :deep(.p-togglebutton-content) {
  white-space: nowrap;
}
@container (max-width: 820px) {
  .tools {
    gap: 8px;
  }
  .tools :deep(.p-togglebutton-content) {
    padding-inline: 6px;
    font-size: 12.5px;
  }
  .hint {
    display: none;
  }
}
@container (max-width: 520px) {
  .tools {
    flex-wrap: wrap;
  }
}
</style>

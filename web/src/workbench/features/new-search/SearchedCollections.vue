<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import type { ProposedCollection } from '../../../shared/contract'
import { counted } from '../../kit/format'

/** The collections that a new search finds items of. */
const { collections } = defineProps<{ collections: readonly ProposedCollection[] }>()
const emit = defineEmits<{ set: [key: string, on: boolean] }>()
</script>

<template>
  <fieldset>
    <legend class="label">What is searched</legend>
    <label v-for="one in collections" :key="one.key" :for="`searched-${one.key}`">
      <Checkbox
        binary
        :input-id="`searched-${one.key}`"
        :model-value="one.on"
        @update:model-value="emit('set', one.key, $event)"
      />
      <span>{{ one.label }}</span>
      <small class="quiet number">{{ counted(one.items, 'item') }}</small>
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
  display: grid;
  gap: 6px;
}
legend {
  padding: 0;
  margin-bottom: 4px;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
  cursor: pointer;
}
small {
  margin-left: auto;
}
</style>

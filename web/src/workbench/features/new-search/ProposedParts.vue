<script setup lang="ts">
import { computed } from 'vue'
import type { ProposedPart } from '../../../shared/contract'
import SwitchLine from '../../kit/SwitchLine.vue'
import { steps } from '../searches/steps'

/** All that is proposed for a search, step by step, each with why and a switch. */
const { parts } = defineProps<{ parts: readonly ProposedPart[] }>()
const emit = defineEmits<{ set: [key: string, on: boolean] }>()
const groups = computed(() =>
  steps
    .map(step => ({ name: step.name, parts: parts.filter(part => part.step === step.remarks) }))
    .filter(group => group.parts.length > 0),
)
</script>

<template>
  <section v-for="group in groups" :key="group.name" class="group" :aria-label="group.name">
    <h3>{{ group.name }}</h3>
    <div>
      <SwitchLine
        v-for="part in group.parts"
        :key="part.key"
        :label="part.what"
        :hint="part.why"
        :model-value="part.on"
        @update:model-value="emit('set', part.key, $event)"
      />
    </div>
  </section>
</template>

<style scoped>
.group {
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr);
  gap: 8px 20px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}
.group > h3 {
  padding-top: 6px;
}
.group > div {
  display: grid;
  gap: 8px;
  overflow-wrap: anywhere;
}
@media (max-width: 760px) {
  .group {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

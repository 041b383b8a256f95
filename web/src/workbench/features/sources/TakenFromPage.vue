<script setup lang="ts">
import type { Outline } from '../../../shared/contract'
import IconButton from '../../kit/IconButton.vue'
import type { Pointed } from './pointing'

/** What is taken from a page: its title, parts that become fields, what is left out, the main text. */
const { outline, chosen } = defineProps<{ outline: Outline; chosen: Pointed }>()
const emit = defineEmits<{ withoutField: [name: string]; letIn: [selector: string] }>()
</script>

<template>
  <section aria-label="What is taken">
    <h3>What is taken</h3>
    <p class="quiet small">{{ outline.title }}</p>
    <ul v-if="chosen.parts.length > 0 || chosen.leaveOut.length > 0" class="chips">
      <li v-for="part in chosen.parts" :key="part.name">
        Field
        <b>{{ part.name }}</b>
        <IconButton icon="times" :label="`Take the field ${part.name} away`" @click="emit('withoutField', part.name)" />
      </li>
      <li v-for="selector in chosen.leaveOut" :key="selector">
        Left out
        <code>{{ selector }}</code>
        <IconButton icon="times" :label="`Let ${selector} in again`" @click="emit('letIn', selector)" />
      </li>
    </ul>
    <div class="taken" tabindex="0" aria-label="The main text as it would be taken">
      {{ outline.mainText || 'No text is taken from this page.' }}
    </div>
  </section>
</template>

<style scoped>
.small {
  font-size: 12.5px;
}
.chips {
  list-style: none;
  margin: 8px 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.chips li {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 0 2px 0 10px;
  border: 1px solid var(--line);
  border-radius: 99px;
  font-size: 13px;
}
.taken {
  height: 340px;
  overflow-y: auto;
  white-space: pre-line;
  padding: 12px 14px;
  margin-top: 8px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--leaf);
  font-size: 13.5px;
}
</style>

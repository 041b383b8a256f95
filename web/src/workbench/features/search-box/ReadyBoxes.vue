<script setup lang="ts">
import { computed } from 'vue'
import type { PlaceChoices, SearchBox } from '../../../shared/contract'

/** Complete boxes to begin from, one click each. What can be chosen in the box and where it leads stays as it is. */
const { ready } = defineProps<{ ready: PlaceChoices['boxes'] }>()
const box = defineModel<SearchBox>({ required: true })
const written = computed(() => JSON.stringify(box.value))
</script>

<template>
  <div class="ready" role="group" aria-label="Begin from">
    <button
      v-for="one in ready"
      :key="one.ready"
      type="button"
      :aria-pressed="JSON.stringify(one.box) === written"
      @click="box = one.box"
    >
      <span class="sample" :class="one.ready" aria-hidden="true"><i /><b /></span>
      <span class="called">{{ one.called }}</span>
      <small class="quiet">{{ one.tells }}</small>
    </button>
  </div>
</template>

<style scoped>
.ready {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
button {
  display: grid;
  gap: 3px;
  align-content: start;
  padding: 8px;
  text-align: start;
  font: inherit;
  color: inherit;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: 8px;
  cursor: pointer;
}
button:hover {
  border-color: var(--edge);
}
button[aria-pressed='true'] {
  border-color: var(--sea);
  box-shadow: inset 0 0 0 1px var(--sea);
}
.called {
  font-weight: 600;
  font-size: 13px;
}
small {
  font-size: 11.5px;
  line-height: 1.3;
}
/* The form of each in small: where the words are, where the button. */
.sample {
  display: flex;
  align-items: center;
  height: 22px;
  margin-bottom: 4px;
}
.sample i {
  flex: 1;
  height: 14px;
  border: 1.5px solid var(--edge);
  border-radius: 7px;
}
.sample b {
  width: 9px;
  height: 9px;
  margin-inline-start: -14px;
  border-radius: 50%;
  background: var(--sea);
}
.worded b,
.greeting b {
  width: 26px;
  height: 10px;
  margin-inline-start: -28px;
  border-radius: 5px;
}
.greeting {
  height: 26px;
}
.greeting i {
  height: 20px;
  border-radius: 10px;
}
.greeting b {
  height: 15px;
  border-radius: 7px;
}
.slim i {
  height: 11px;
}
.slim b {
  order: -1;
  margin-inline: 5px -14px;
  width: 6px;
  height: 6px;
}
.sign-only {
  justify-content: flex-end;
}
.sign-only i {
  display: none;
}
.quiet b {
  display: none;
}
.sample.quiet i {
  border-radius: 0;
}
</style>

<script setup lang="ts">
import { ORIGINS, type Origin } from './sourceKinds'

/** What content comes from. */
const { labelledby } = defineProps<{ labelledby: string }>()
const kind = defineModel<Origin>({ required: true })
</script>

<template>
  <div class="choices" role="radiogroup" :aria-labelledby="labelledby">
    <label v-for="one in ORIGINS" :key="one.kind" :class="{ chosen: kind === one.kind }">
      <input v-model="kind" type="radio" name="kind" :value="one.kind" />
      <i class="pi" :class="one.icon" aria-hidden="true" />
      <b>{{ one.name }}</b>
      <small>{{ one.what }}</small>
    </label>
  </div>
</template>

<style scoped>
.choices {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 12px;
}
label {
  position: relative;
  display: grid;
  gap: 2px;
  padding: 14px 16px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  cursor: pointer;
}
label:hover {
  background: var(--leaf);
}
.chosen {
  border-color: var(--sea);
  box-shadow: inset 0 0 0 1px var(--sea);
  background: var(--sea-wash);
}
input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
label:focus-within {
  outline: 2px solid var(--sea);
  outline-offset: 2px;
}
.pi {
  font-size: 18px;
  color: var(--sea);
  margin-bottom: 4px;
}
small {
  color: var(--quiet);
  font-size: 12.5px;
}
.chosen small {
  color: #45555d;
}
@media (max-width: 900px) {
  .choices {
    grid-template-columns: 1fr 1fr;
  }
}
</style>

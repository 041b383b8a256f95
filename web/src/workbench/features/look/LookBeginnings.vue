<script setup lang="ts">
import type { Look, LookChoices, LookTokens } from '../../../shared/contract'
import LookSample from './LookSample.vue'
import type { Shade } from './lookNames'

/** The looks that one can begin from, each as it is. */
const { choices, site } = defineProps<{
  choices: LookChoices
  shade: Shade
  /** What the site wears, where a search can follow it; null at the site itself. */
  site: LookTokens | null
}>()
const from = defineModel<Look['from']>({ required: true })
</script>

<template>
  <fieldset>
    <legend>Begins from</legend>
    <label v-if="site" :class="{ chosen: from === null }">
      <input v-model="from" type="radio" name="look" :value="null" class="unseen" />
      <LookSample :tokens="site" :shade="shade" name="The site’s look" />
    </label>
    <label v-for="one in choices.ready" :key="one.look" :class="{ chosen: from === one.look }" :title="one.says">
      <input v-model="from" type="radio" name="look" :value="one.look" class="unseen" />
      <LookSample :tokens="one.tokens" :shade="shade" :name="one.name" />
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  margin-bottom: 6px;
  font-size: 13px;
  font-weight: 600;
}
label {
  position: relative;
  display: grid;
  overflow: hidden;
  border: 1px solid var(--edge);
  border-radius: 9px;
  cursor: pointer;
}
label.chosen {
  border-color: var(--sea);
  box-shadow: 0 0 0 2px var(--sea);
}
label:focus-within {
  outline: 2px solid var(--sea);
  outline-offset: 4px;
}
</style>

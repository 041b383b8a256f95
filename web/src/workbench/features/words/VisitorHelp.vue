<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref } from 'vue'
import type { Words } from '../../../shared/contract'

/** What helps visitors on, and the owner's own list of queries to offer beside others. */
const help = defineModel<Words['help']>({ required: true })
const switches = [
  { key: 'completions', name: 'Complete the word at hand', what: 'From titles and category names, while it is typed.' },
  {
    key: 'didYouMean',
    name: 'Ask “Did you mean …?”',
    what: 'Where little is found, if another way to write it finds more.',
  },
  {
    key: 'seeAlso',
    name: 'Offer other queries under the results',
    what: 'From your list, from synonyms, and from categories the results share.',
  },
] as const
const query = ref('')
const offered = ref('')
const parts = computed(() => [
  ...new Set(
    offered.value
      .split(',')
      .map(one => one.trim())
      .filter(Boolean),
  ),
])
const taken = computed(() =>
  help.value.owners.some(entry => entry.query.toLowerCase() === query.value.trim().toLowerCase()),
)
function add() {
  if (query.value.trim() === '' || parts.value.length === 0 || taken.value) return
  help.value = { ...help.value, owners: [{ query: query.value.trim(), offered: parts.value }, ...help.value.owners] }
  query.value = ''
  offered.value = ''
}
</script>

<template>
  <div class="switches">
    <label v-for="one in switches" :key="one.key" :for="`help-${one.key}`">
      <span>
        <b>{{ one.name }}</b>
        <small class="quiet">{{ one.what }}</small>
      </span>
      <ToggleSwitch
        :input-id="`help-${one.key}`"
        :model-value="help[one.key]"
        @update:model-value="help = { ...help, [one.key]: $event }"
      />
    </label>
  </div>
  <template v-if="help.seeAlso">
    <form class="line" @submit.prevent="add">
      <InputText v-model="query" size="small" placeholder="Who types this" aria-label="Offer beside this query" />
      <InputText v-model="offered" size="small" placeholder="is offered, commas between" aria-label="these queries" />
      <Button type="submit" label="Add" size="small" :disabled="query.trim() === '' || parts.length === 0 || taken" />
    </form>
    <small v-if="taken" class="quiet">There is an entry for this already. Take it away first.</small>
    <ul v-if="help.owners.length > 0" aria-label="Queries you offer">
      <li v-for="entry in help.owners" :key="entry.query">
        <span>{{ entry.query }} → {{ entry.offered.join(', ') }}</span>
        <Button
          icon="pi pi-times"
          text
          rounded
          size="small"
          severity="secondary"
          :aria-label="`Take away ${entry.query}`"
          @click="help = { ...help, owners: help.owners.filter(other => other !== entry) }"
        />
      </li>
    </ul>
  </template>
</template>

<style scoped>
.switches label {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  cursor: pointer;
}
.switches small {
  display: block;
}
.line {
  margin-top: 8px;
}
.line {
  flex-wrap: wrap;
}
.line input {
  flex: 1 1 200px;
  min-width: 0;
}
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  max-height: 240px;
  overflow-y: auto;
  width: 100%;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 34px;
  border-bottom: 1px solid var(--line);
  font-size: 14px;
  overflow-wrap: anywhere;
}
</style>

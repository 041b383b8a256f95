<script setup lang="ts">
import Dialog from 'primevue/dialog'
import ToggleSwitch from 'primevue/toggleswitch'
import { singleKeys } from '../kit/useSingleKeys'

const shown = defineModel<boolean>({ required: true })
const keys: [string, string][] = [
  ['Ctrl K', 'Go anywhere'],
  ['Ctrl Z', 'Undo the last change of a draft'],
  ['Ctrl Shift Z', 'Redo it'],
  ['/', 'Put the cursor into the stage’s search box'],
  ['w', 'Why an item is found, or not'],
  ['t', 'The trials of a search'],
  ['[', 'Previous step of a search'],
  [']', 'Next step'],
  ['?', 'This list'],
]
</script>

<template>
  <Dialog v-model:visible="shown" modal header="Keys" :style="{ width: '440px' }" :draggable="false">
    <dl>
      <template v-for="[key, what] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <label class="switch">
      <ToggleSwitch v-model="singleKeys" input-id="single-keys" />
      Keys pressed alone (such as /) act
    </label>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 8px 12px;
  margin: 0 0 20px;
}
dd {
  margin: 0;
}
.switch {
  display: flex;
  align-items: center;
  gap: 10px;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}
</style>

<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch'

/** A switch at the end of a line that says what it does and what comes of it. */
const { name, label, hint } = defineProps<{
  /** Of what it switches. */
  name: string
  label: string
  hint: string
}>()
const on = defineModel<boolean>({ required: true })
</script>

<template>
  <label :for="name">
    <span>
      <b>{{ label }}</b>
      <small class="quiet">{{ hint }}</small>
    </span>
    <ToggleSwitch v-model="on" :input-id="name" />
  </label>
</template>

<style scoped>
label {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  cursor: pointer;
}
small {
  display: block;
}
label > :deep(.p-toggleswitch) {
  flex: none;
}
</style>

<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch'
import { useId } from 'vue'

/** A switch, what it does behind it, and what that means in small. */
const { label, hint = '' } = defineProps<{ label: string; hint?: string }>()
const on = defineModel<boolean>({ required: true })
const id = useId()
</script>

<template>
  <div class="switch-line">
    <ToggleSwitch v-model="on" :input-id="id" />
    <label :for="id">
      <b>{{ label }}</b>
      <small v-if="hint" class="quiet">{{ hint }}</small>
    </label>
    <slot />
  </div>
</template>

<style scoped>
.switch-line {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
  font-size: 13.5px;
}
.switch-line > :deep(.p-toggleswitch) {
  flex: none;
}
label {
  flex: 1;
}
small {
  display: block;
  font-size: 12.5px;
}
</style>

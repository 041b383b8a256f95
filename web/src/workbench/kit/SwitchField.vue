<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch'
import { useId } from 'vue'

/** Yes or no, its label beside it. */
const { label } = defineProps<{ label: string }>()
const on = defineModel<boolean>({ required: true })
const id = useId()
</script>

<template>
  <label class="switch" :for="id">
    {{ label }}
    <ToggleSwitch v-model="on" :input-id="id" />
  </label>
</template>

<style scoped>
.switch {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  font-weight: 600;
  font-size: 13px;
  cursor: pointer;
}
</style>

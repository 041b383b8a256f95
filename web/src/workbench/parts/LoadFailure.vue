<script setup lang="ts">
import Button from 'primevue/button'

const { error } = defineProps<{ error: Error }>()
defineEmits<{ again: [] }>()
</script>

<template>
  <div class="remark bad" role="alert">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" />
    <span>{{ error.message }}</span>
    <Button label="Try again" size="small" severity="secondary" outlined @click="$emit('again')" />
  </div>
</template>

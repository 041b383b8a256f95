<script setup lang="ts">
/** A line that tells what is to be known: by the way, or of something that went wrong, which is read out at once. */
const { bad = false } = defineProps<{ bad?: boolean }>()
</script>

<template>
  <p class="remark" :class="{ bad }" :role="bad ? 'alert' : undefined">
    <i class="pi" :class="bad ? 'pi-exclamation-triangle' : 'pi-info-circle'" aria-hidden="true" />
    <span><slot /></span>
  </p>
</template>

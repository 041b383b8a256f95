<script setup lang="ts">
import IconButton from '../../kit/IconButton.vue'

/** A setting that follows the look below until it is set, and can follow it again. */
const { isOwn, name } = defineProps<{ isOwn: boolean; name: string }>()
const emit = defineEmits<{ follow: [] }>()
</script>

<template>
  <div class="setting">
    <div><slot /></div>
    <IconButton
      v-if="isOwn"
      icon="undo"
      :label="`${name}: as the look has it`"
      title="As the look has it"
      @click="emit('follow')"
    />
  </div>
</template>

<style scoped>
.setting {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 32px;
  align-items: start;
  gap: 4px;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { RequestFailure } from '../../shared/http'

/** Where to go on where what was asked for is not there, and what that is called. */
const { error, back } = defineProps<{ error: Error; back?: { to: string; name: string } }>()
const gone = computed(() => error instanceof RequestFailure && error.status === 404)
defineEmits<{ again: [] }>()
</script>

<template>
  <div class="remark bad" role="alert">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" />
    <span>{{ error.message }}</span>
    <RouterLink v-if="gone && back" :to="back.to">{{ back.name }}</RouterLink>
    <Button v-else class="again" label="Try again" size="small" severity="secondary" outlined @click="$emit('again')" />
  </div>
</template>

<style scoped>
.again {
  flex: none;
}
</style>

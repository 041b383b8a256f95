<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'

/** Takes a source away, once it has been asked whether that is meant. */
const { name } = defineProps<{ name: string }>()
const emit = defineEmits<{ remove: [] }>()
const isAsking = ref(false)
</script>

<template>
  <template v-if="!isAsking">
    <p class="quiet">Its items stay when the source is taken away.</p>
    <Button label="Take this source away" text size="small" severity="danger" @click="isAsking = true" />
  </template>
  <template v-else>
    <p>
      Take “{{ name }}” away? Its items stay, and are not brought up to date any more. For 30 days that can be taken
      back, under <i>Site</i>.
    </p>
    <div class="line">
      <Button label="Take it away" size="small" severity="danger" @click="emit('remove')" />
      <Button label="Keep it" size="small" severity="secondary" outlined @click="isAsking = false" />
    </div>
  </template>
</template>

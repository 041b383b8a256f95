<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { useTexts } from '../texts'

/** The way on where the list grows: a button, pressed by itself as it comes into view where the owner says so. */
const { scrolls } = defineProps<{
  /** Whether the list grows as its end comes into view. */
  scrolls: boolean
}>()
const emit = defineEmits<{ more: [pressed: boolean] }>()
const { say } = useTexts()
const button = ref<HTMLElement>()
const seen = new IntersectionObserver(([entry]) => {
  if (scrolls && entry?.isIntersecting) emit('more', false)
})
onMounted(() => {
  if (button.value) seen.observe(button.value)
})
onBeforeUnmount(() => seen.disconnect())
</script>

<template>
  <p class="more-results">
    <button ref="button" type="button" class="done" part="more" @click="emit('more', true)">
      {{ say('moreResults') }}
    </button>
  </p>
</template>

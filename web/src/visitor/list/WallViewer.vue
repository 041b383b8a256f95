<script setup lang="ts">
import { toRef } from 'vue'
import type { Hit, Results } from '../../shared/contract'
import PictureViewer from './PictureViewer.vue'
import { useViewer } from './useViewer'

/** Has the pictures of a wall open large; it comes with the first wall that wants that. */
const { answer, list } = defineProps<{
  answer: Results
  /** What the cards stand in. */
  list: HTMLElement | undefined
  target: string | undefined
}>()
const emit = defineEmits<{
  follow: [hit: Hit, event: Event]
  narrow: [tag: string]
  /** Somebody looks on at pictures of another page. */
  turn: [page: number]
}>()
const { viewed, isPicture, open, step, close } = useViewer(
  () => answer,
  toRef(() => list),
  page => emit('turn', page),
)
async function narrow(tag: string) {
  await close()
  emit('narrow', tag)
}
defineExpose({ isPicture, open })
</script>

<template>
  <PictureViewer
    v-if="viewed"
    :viewed="viewed"
    :target="target"
    @step="step"
    @closed="close"
    @follow="(picture, event) => emit('follow', picture.hit, event)"
    @narrow="narrow"
  />
</template>

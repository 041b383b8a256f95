<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { safeAddress } from '../../shared/http'
import { useRoot } from '../element/draw'
import { useStyle } from '../look/useStyle'
import { useTexts } from '../texts'
import css from './viewer.css?inline'
import type { Step, Viewed } from './useViewer'
import type { ViewedPicture } from './viewedPictures'

/**
 * A picture of a wall, large and over the page, with what it is, what it stands under, and the way to the next one: by
 * buttons, by arrow keys, by a finger. Escape closes it.
 */
const { viewed } = defineProps<{ viewed: Viewed; target: string | undefined }>()
const emit = defineEmits<{
  step: [step: Step]
  closed: []
  follow: [picture: ViewedPicture, event: Event]
  narrow: [value: string]
}>()
useStyle(css)
const { say } = useTexts()
const root = useRoot()

/** So far a finger has to go, in px, before it is no tap. */
const FAR_ENOUGH = 40
const dialog = ref<HTMLDialogElement>()
const picture = computed(() => viewed.picture)
const place = computed(() => say('pictureOf', { number: viewed.number, count: viewed.count }))
const page = computed(() => safeAddress(picture.value.hit.url))
const isFailed = ref(false)
onMounted(() => dialog.value?.showModal())
watch(picture, async () => {
  isFailed.value = false
  await nextTick()
  // A tag that had the focus may be gone with its picture.
  if (!root.activeElement) dialog.value?.focus()
})

const STEPS: Readonly<Record<string, Step>> = { ArrowLeft: 'before', ArrowRight: 'next', Home: 'first', End: 'last' }
function key(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (!step || event.ctrlKey || event.altKey || event.metaKey) return
  event.preventDefault()
  emit('step', step)
}
let from: number | null = null
function lifted(event: PointerEvent) {
  if (from === null) return
  const way = event.clientX - from
  from = null
  if (Math.abs(way) >= FAR_ENOUGH) emit('step', way < 0 ? 'next' : 'before')
}
</script>

<template>
  <dialog
    ref="dialog"
    class="viewer"
    part="viewer"
    tabindex="-1"
    :aria-label="picture.hit.title"
    @close="emit('closed')"
    @click.self="dialog?.close()"
    @keydown="key"
  >
    <figure>
      <div
        class="viewed"
        @pointerdown="from = $event.isPrimary ? $event.clientX : null"
        @pointerup="lifted"
        @pointercancel="from = null"
      >
        <img
          v-if="!isFailed"
          :key="picture.address"
          :src="picture.address"
          :alt="picture.alternative"
          draggable="false"
          part="viewed"
          @error="isFailed = true"
        />
        <p v-else>{{ picture.alternative }}</p>
      </div>
      <figcaption>
        <p class="viewed-title" part="viewed-title">{{ picture.hit.title }}</p>
        <p class="viewed-place" aria-live="polite">{{ place }}</p>
        <ul v-if="picture.hit.tags" class="viewed-tags" part="tags">
          <li v-for="tag in picture.hit.tags" :key="tag.value">
            <button type="button" @click="emit('narrow', tag.value)">{{ tag.label }}</button>
          </li>
        </ul>
        <a v-if="page" class="to-page" :href="page" :target="target" @click="emit('follow', picture, $event)">
          {{ say('openPage') }}
        </a>
      </figcaption>
    </figure>
    <button type="button" class="turn close" :aria-label="say('close')" @click="dialog?.close()">
      <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m4 4 10 10m0-10-10 10" /></svg>
    </button>
    <button
      type="button"
      class="turn before"
      :aria-label="say('previousPicture')"
      :aria-disabled="viewed.isFirst"
      @click="emit('step', 'before')"
    >
      <svg viewBox="0 0 18 18" aria-hidden="true"><path d="M11.5 3.5 6 9l5.5 5.5" /></svg>
    </button>
    <button
      type="button"
      class="turn next"
      :aria-label="say('nextPicture')"
      :aria-disabled="viewed.isLast"
      autofocus
      @click="emit('step', 'next')"
    >
      <svg viewBox="0 0 18 18" aria-hidden="true"><path d="M6.5 3.5 12 9l-5.5 5.5" /></svg>
    </button>
  </dialog>
</template>

<script setup lang="ts">
import { inject, ref } from 'vue'
import { useTexts } from '../texts'
import BoxAndList from './BoxAndList.vue'
import { BOX } from './boxContext'

/** The box over the page, which waits meanwhile; Escape closes it, and the focus goes back to where it was. */
const emit = defineEmits<{ closed: [] }>()
const box = inject(BOX)!
const { say } = useTexts()
const dialog = ref<HTMLDialogElement>()
const inside = ref<InstanceType<typeof BoxAndList>>()
defineExpose({
  isOpen: () => dialog.value?.open ?? false,
  open: () => {
    if (dialog.value?.open) return
    dialog.value?.showModal()
    inside.value?.focus()
  },
  close: () => dialog.value?.close(),
})
</script>

<template>
  <dialog
    ref="dialog"
    class="over-page"
    part="over-page"
    :aria-label="box.named.value"
    @close="emit('closed')"
    @click.self="dialog?.close()"
  >
    <div class="over-sheet">
      <button type="button" class="turn" :aria-label="say('close')" @click="dialog?.close()">
        <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m4 4 10 10m0-10-10 10" /></svg>
      </button>
      <BoxAndList ref="inside" with-list over />
    </div>
  </dialog>
</template>

<script setup lang="ts">
import { nextTick, ref } from 'vue'
import { useTexts } from '../texts'

/** Copies the address of what is shown; where the browser does not let it, the address stands there to be copied. */
const { address } = defineProps<{ address: () => string }>()
const { say } = useTexts()
const isCopied = ref(false)
const toCopy = ref('')
const field = ref<HTMLInputElement>()

async function copy() {
  isCopied.value = false
  toCopy.value = ''
  try {
    await navigator.clipboard.writeText(address())
    isCopied.value = true
  } catch {
    toCopy.value = address()
    await nextTick()
    field.value?.select()
  }
}
</script>

<template>
  <span class="copy-link">
    <input v-if="toCopy" ref="field" class="typed" readonly :value="toCopy" :aria-label="say('copyLink')" />
    <button v-else type="button" class="again" part="copy-link" @click="copy">{{ say('copyLink') }}</button>
    <span role="status">{{ isCopied ? say('linkCopied') : '' }}</span>
  </span>
</template>

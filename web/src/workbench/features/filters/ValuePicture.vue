<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { isPicture } from './filterValues'

/** The colour or picture that visitors see beside a value; empty for none. */
const { name } = defineProps<{ name: string }>()
const picture = defineModel<string>({ required: true })
const isWrong = ref(false)
function write(text: string) {
  isWrong.value = text !== '' && !isPicture(text)
  if (!isWrong.value) picture.value = text
}
</script>

<template>
  <span class="picture">
    <span class="swatch" :style="picture.startsWith('#') ? { background: picture } : {}" aria-hidden="true" />
    <InputText
      :model-value="picture"
      size="small"
      placeholder="#0e5f63 or /picture"
      :aria-label="`Colour or picture for ${name}`"
      :invalid="isWrong"
      @change="write(($event.target as HTMLInputElement).value.trim())"
    />
  </span>
  <span v-if="isWrong" class="wrong" role="alert">
    Write a colour such as #0e5f63, or an address that starts with / or https://.
  </span>
</template>

<style scoped>
.picture {
  display: flex;
  align-items: center;
  gap: 6px;
}
.picture :deep(.p-inputtext) {
  width: 112px;
}
.swatch {
  width: 20px;
  height: 20px;
  border-radius: 10px;
  border: 1px solid var(--edge);
  flex: none;
}
.wrong {
  flex-basis: 100%;
}
</style>

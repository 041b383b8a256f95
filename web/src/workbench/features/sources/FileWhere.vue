<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import type { FileSettings } from '../../../shared/contract'

/** Where a file is: one that is chosen here, or one at an address. */
const { fileName, busy } = defineProps<{ fileName: string; busy: boolean }>()
const file = defineModel<FileSettings>({ required: true })
const emit = defineEmits<{ look: []; chosen: [file: File] }>()
const over = ref(false)

function choose(files: FileList | null | undefined) {
  over.value = false
  if (files?.[0]) emit('chosen', files[0])
}
function at(address: string | undefined) {
  file.value = { ...file.value, address: address || null, upload: address ? null : file.value.upload }
}
</script>

<template>
  <form class="where" @submit.prevent="emit('look')">
    <label
      class="drop"
      :class="{ over }"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="choose($event.dataTransfer?.files)"
    >
      <input
        type="file"
        class="unseen"
        accept=".csv,.tsv,.txt,.json,.jsonl,.ndjson,.geojson"
        @change="choose(($event.target as HTMLInputElement).files)"
      />
      <i class="pi pi-upload" aria-hidden="true" />
      <span v-if="file.upload">
        <b>{{ fileName || 'An uploaded file' }}</b>
        is here. Choose another, or drop it.
      </span>
      <span v-else> <b>Choose a file</b>, or drop it here </span>
    </label>
    <span class="quiet">or</span>
    <div class="field grow">
      <label for="file-address">Address of a file</label>
      <div class="line">
        <InputText
          id="file-address"
          :model-value="file.address ?? ''"
          placeholder="https://your-site.example/makers.csv"
          @update:model-value="at"
        />
        <Button
          type="submit"
          label="Look"
          severity="secondary"
          outlined
          :loading="busy"
          :disabled="!file.address && !file.upload"
        />
      </div>
    </div>
  </form>
</template>

<style scoped>
.drop {
  position: relative;
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 58px;
  padding: 12px 20px;
  border: 1.5px dashed var(--edge);
  border-radius: 8px;
  cursor: pointer;
}
.drop:hover,
.drop.over {
  border-color: var(--sea);
  background: var(--sea-wash);
}
.drop:focus-within {
  outline: 2px solid var(--sea);
  outline-offset: 2px;
}
.drop .pi {
  font-size: 18px;
  color: var(--sea);
}
.where > .quiet {
  padding-bottom: 8px;
}
</style>

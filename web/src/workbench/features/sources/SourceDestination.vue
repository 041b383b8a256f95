<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import type { CollectionShape, SourceSettings, SourceShape } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import { schedulesFor } from './sourceKinds'

/** Where what a source reads goes, what it is called, and when it runs again. */
const { collections, settings, isMapped } = defineProps<{
  collections: readonly CollectionShape[]
  settings: SourceSettings
  /** Whether the source is there already, and its collection with it. */
  isKept: boolean
  isMapped: boolean
  /** What the button does. */
  does: string
  busy: boolean
  wrong: string
}>()
const emit = defineEmits<{ bringIn: [] }>()
/** A collection's key; null for a new one. */
const collection = defineModel<string | null>('collection', { required: true })
const fresh = defineModel<{ label: string; key: string; language: string }>('fresh', { required: true })
const run = defineModel<{ name: string } & Pick<SourceShape, 'schedule' | 'removesMissing'>>('run', { required: true })
const places = computed(() => [
  { key: '', label: 'A new collection' },
  ...collections.map(one => ({ key: one.key, label: `${one.label} (${formatNumber(one.items)})` })),
])
const missing = computed(() => {
  if (!isMapped) return 'Map a column first.'
  if (run.value.name.trim() === '') return 'Give the source a name.'
  const isNamed = collection.value || (fresh.value.label.trim() !== '' && fresh.value.key !== '')
  return isNamed ? '' : 'Name the new collection.'
})
</script>

<template>
  <div class="where">
    <div class="field">
      <label for="into">Collection</label>
      <Select
        :model-value="collection ?? ''"
        input-id="into"
        :options="places"
        option-label="label"
        option-value="key"
        placeholder="A new collection"
        :disabled="isKept"
        @update:model-value="collection = $event || null"
      />
    </div>
    <template v-if="!collection">
      <div class="field">
        <label for="new-label">What visitors read</label>
        <InputText id="new-label" v-model="fresh.label" maxlength="80" placeholder="Recipes" />
      </div>
      <div class="field small">
        <label for="new-key">Key for scripts</label>
        <InputText id="new-key" v-model="fresh.key" />
      </div>
      <div class="field small">
        <label for="new-language">Language</label>
        <InputText id="new-language" v-model="fresh.language" />
      </div>
    </template>
    <div class="field grow">
      <label for="name">Name of this source</label>
      <InputText id="name" v-model="run.name" maxlength="80" />
    </div>
    <div class="field">
      <label for="schedule">Read again</label>
      <Select
        v-model="run.schedule"
        input-id="schedule"
        :options="schedulesFor(settings)"
        option-label="label"
        option-value="value"
      />
    </div>
  </div>
  <SwitchLine
    v-model="run.removesMissing"
    label="Remove items that it no longer has"
    hint="Of those it brought itself. If that would be more than a third of the collection, you are asked first."
  />
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <div class="line end">
    <span v-if="missing" class="quiet">{{ missing }}</span>
    <Button :label="does" icon="pi pi-download" :loading="busy" :disabled="missing !== ''" @click="emit('bringIn')" />
  </div>
</template>

<style scoped>
.end {
  justify-content: flex-end;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { SearchSummary } from '../../../shared/contract'
import { counted, formatTime } from '../../kit/format'
import AboutSearch from './AboutSearch.vue'
import type { DraftEditing } from './useDraft'

/** The name of a search and how its draft is: kept or not, live or not, with the ways back and forth. */
const { draft, summary } = defineProps<{
  draft: DraftEditing
  summary: SearchSummary | null
  /** Whether whoever looks may change anything. */
  edits: boolean
  /** What the last change, which could not be kept, is in the way of. */
  held: 'going' | 'publishing' | null
}>()
const emit = defineEmits<{ publish: []; readAgain: [] }>()
const HELD = {
  going: ' If you go now, the last change is lost.',
  publishing: ' It is looked over and published once it is kept.',
}
const isAbout = ref(false)
const isLive = computed(() => Boolean(summary?.live) && summary?.differences.length === 0)
const state = computed(() => {
  if (!summary?.live) return 'Not live yet'
  return isLive.value ? 'Live as designed' : `Draft · ${counted(summary.differences.length, 'change')} not live`
})
const isKeeping = computed(() => draft.keeping.value === 'waiting' || draft.keeping.value === 'sending')
const isNotKept = computed(() => draft.keeping.value === 'failed' || draft.keeping.value === 'conflict')
</script>

<template>
  <div class="bar">
    <h1>{{ draft.design.value?.name }}</h1>
    <Button
      icon="pi pi-pencil"
      text
      rounded
      size="small"
      severity="secondary"
      aria-label="Name, key and purpose"
      title="Name, key and purpose"
      :disabled="!summary || !edits"
      @click="isAbout = true"
    />
    <span class="chip" :class="{ calm: isLive }">{{ state }}</span>
    <span class="keeping quiet" role="status">
      <template v-if="isKeeping">Keeping…</template>
      <template v-else-if="draft.keeping.value === 'kept' && draft.canUndo.value">Kept</template>
    </span>
    <span class="grow" />
    <Button
      icon="pi pi-undo"
      text
      severity="secondary"
      aria-label="Undo"
      title="Undo (Ctrl Z)"
      :disabled="!draft.canUndo.value"
      @click="draft.undo"
    />
    <Button
      icon="pi pi-undo"
      class="redo"
      text
      severity="secondary"
      aria-label="Redo"
      title="Redo (Ctrl Shift Z)"
      :disabled="!draft.canRedo.value"
      @click="draft.redo"
    />
    <span v-if="summary?.live" class="quiet published">Published {{ formatTime(summary.live.published) }}</span>
    <Button v-if="edits" label="Look over and publish" @click="emit('publish')" />
  </div>
  <div v-if="isNotKept" class="remark bad notice" role="alert">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" />
    <span>{{ draft.failure.value }}{{ held ? HELD[held] : '' }}</span>
    <Button
      v-if="draft.keeping.value === 'failed'"
      label="Try again"
      size="small"
      severity="secondary"
      outlined
      @click="draft.retry"
    />
    <Button v-else label="Read the draft again" size="small" severity="secondary" outlined @click="emit('readAgain')" />
  </div>
  <AboutSearch v-if="summary" v-model="isAbout" :draft="draft" :summary="summary" />
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 54px;
  padding: 8px 16px 8px 20px;
  background: var(--leaf);
  border-bottom: 1px solid var(--line);
}
.bar h1 {
  font-size: 20px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.grow {
  flex: 1;
}
.chip {
  padding: 3px 10px;
  border-radius: 99px;
  background: var(--lamp-wash);
  color: #6f4200;
  font-weight: 600;
  font-size: 12.5px;
  white-space: nowrap;
}
.chip.calm {
  background: #e6f1ea;
  color: #225c3a;
}
.keeping {
  font-size: 13px;
  min-width: 64px;
}
.published {
  font-size: 13px;
  white-space: nowrap;
}
.redo :deep(.p-button-icon) {
  transform: scaleX(-1);
}
.notice {
  margin: 8px 16px;
}
@media (max-width: 1080px) {
  .published {
    display: none;
  }
}
@media (max-width: 760px) {
  .bar {
    flex-wrap: wrap;
  }
}
</style>

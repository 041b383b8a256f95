<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { counted } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** What can be done with several items at once. */
const { site, collection } = defineProps<{ site: string; collection: string }>()
/** Ids of the chosen ones. */
const chosen = defineModel<string[]>({ required: true })
const queries = useQueryClient()
const { busy, wrong, attempt } = useAttempt()
const isAddingWords = ref(false)
const keywords = ref('')
const said = ref('')
async function mark(change: { keptOut?: boolean; addKeywords?: string }, done: string) {
  const many = chosen.value.length
  if (!(await attempt(() => api.markSeveral(site, collection, chosen.value, change)))) return
  said.value = `${counted(many, 'item')} ${done}`
  chosen.value = []
  isAddingWords.value = false
  keywords.value = ''
  await queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'sites' })
}
</script>

<template>
  <div v-if="chosen.length > 0" class="bar" role="region" aria-label="What to do with the chosen items">
    <b>{{ counted(chosen.length, 'item') }} chosen</b>
    <Button
      label="Keep out of search"
      size="small"
      :loading="busy"
      @click="mark({ keptOut: true }, 'kept out of search.')"
    />
    <Button
      label="Let in again"
      size="small"
      severity="secondary"
      outlined
      @click="mark({ keptOut: false }, 'let in again.')"
    />
    <Button label="Add keywords" size="small" severity="secondary" outlined @click="isAddingWords = true" />
    <Button label="Choose none" size="small" severity="secondary" text @click="chosen = []" />
  </div>
  <p v-else-if="said" class="quiet said" role="status">{{ said }}</p>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <Dialog v-model:visible="isAddingWords" modal header="Add keywords" :draggable="false" :style="{ width: '460px' }">
    <form @submit.prevent="mark({ addKeywords: keywords }, 'have the keywords.')">
      <div class="field">
        <label for="bulk-keywords">Words by which they are found too</label>
        <InputText id="bulk-keywords" v-model="keywords" autofocus aria-describedby="bulk-help" />
        <small id="bulk-help">They count as words of the title, and are shown nowhere.</small>
      </div>
      <Button
        type="submit"
        :label="`Add to ${counted(chosen.length, 'item')}`"
        :loading="busy"
        :disabled="keywords.trim() === ''"
      />
    </form>
  </Dialog>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 14px;
  margin-bottom: 12px;
  background: var(--sea-wash);
  border-radius: 8px;
  flex-wrap: wrap;
}
.said {
  margin-bottom: 12px;
}
form {
  display: grid;
  gap: 16px;
}
</style>

<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed } from 'vue'
import type { CollectionShape } from '../../../shared/contract'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'

const { site, collection } = defineProps<{ site: string; collection: CollectionShape }>()
const queries = useQueryClient()
const { wrong, attempt } = useAttempt()
const correction = computed(() => collection.correction)
const label = computed(
  () => collection.fields.find(field => field.key === correction.value?.field)?.label ?? collection.label,
)
const done = computed(() =>
  correction.value && correction.value.of > 0 ? Math.round((correction.value.read / correction.value.of) * 100) : 0,
)
async function stop() {
  await attempt(() => api.stopCorrection(site, collection.key))
  await queries.invalidateQueries({ queryKey: ['collections'] })
}
</script>

<template>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <p v-if="correction?.problem" class="remark bad" role="alert">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" />
    <span>
      <b>{{ label }}</b>
      was left as it was. {{ correction.problem }}
    </span>
    <Button label="Understood" size="small" text severity="secondary" @click="stop" />
  </p>
  <div v-else-if="correction" class="slip going" role="status">
    <p v-if="correction.indexing">
      <b>{{ label }}</b>
      is corrected; searches are following.
    </p>
    <p v-else>
      <b>{{ label }}</b>
      is being corrected; {{ done }} % is looked at. Until it is done, all is as it was.
    </p>
    <ProgressBar
      :mode="correction.indexing || correction.of === 0 ? 'indeterminate' : 'determinate'"
      :value="done"
      :show-value="false"
      aria-label="Progress of the correction"
    />
    <Button v-if="!correction.indexing" label="Stop" size="small" severity="secondary" outlined @click="stop" />
  </div>
</template>

<style scoped>
.going {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  gap: 8px 16px;
  padding: 14px 20px;
  margin-bottom: 12px;
}
.going p {
  grid-column: 1 / -1;
  margin: 0;
}
.remark {
  margin-bottom: 12px;
}
</style>

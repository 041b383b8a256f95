<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed } from 'vue'
import type { CollectionShape, SearchDesign, Version } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { formatTime } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import ChangeTable from '../go-live/ChangeTable.vue'
import ComparedQueries from './ComparedQueries.vue'

/** Two designs of a search beside one another, and the way back to the second. */
const { search, versions, design } = defineProps<{
  search: string
  versions: readonly Version[]
  design: SearchDesign | null
  collections: readonly CollectionShape[]
}>()
const sides = defineModel<{ before: string; after: string }>({ required: true })
const emit = defineEmits<{ take: [design: SearchDesign]; gone: []; close: [] }>()
const {
  data: compared,
  error,
  isFetching,
  refetch,
} = useQuery({
  queryKey: ['comparison', () => search, sides],
  queryFn: () => api.comparison(search, sides.value.before, sides.value.after),
  staleTime: 0,
})
const choices = computed(() => [
  { value: 'draft', label: 'The draft' },
  ...versions.map(one => ({
    value: String(one.version),
    label: `Version ${one.version}${one.live ? ', live' : ''}, ${formatTime(one.published)}`,
  })),
])
/** The second, where that is a version: its number, and whether visitors see it. */
const version = computed(() => versions.find(one => String(one.version) === sides.value.after))
const trials = computed(() => {
  const { trialsBefore: before, trialsAfter: after } = compared.value ?? {}
  if (!before || !after) return 'There are no trials.'
  return `${before.hold} of ${before.trials} trials hold before, ${after.hold} after.`
})

const { busy, wrong, attempt } = useAttempt()
const back = () =>
  attempt(async () => {
    await api.publishAgain(search, version.value!.version, '')
    emit('gone')
    emit('close')
  })
const take = () =>
  attempt(async () => {
    emit('take', await api.version(search, version.value!.version))
  })
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="What differs"
    :draggable="false"
    :style="{ width: '720px' }"
    @update:visible="emit('close')"
  >
    <div class="sides">
      <ChoiceField v-model="sides.before" label="From" :options="choices" />
      <ChoiceField v-model="sides.after" label="to" :options="choices" />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <p v-else-if="!compared || isFetching" class="quiet" role="status">Comparing…</p>
    <template v-else>
      <p v-if="compared.changes.length === 0" class="lead">Nothing: both are the same.</p>
      <ChangeTable
        v-else
        :changes="compared.changes"
        :design="design"
        :collections="collections"
        caption="What differs between the two"
        before="Before"
        after="After"
      />
      <template v-if="compared.changes.length > 0">
        <h3>What becomes of searches</h3>
        <p>{{ trials }}</p>
        <ComparedQueries :compared="compared" />
      </template>
      <RemarkLine v-for="remark in compared.remarks" :key="remark.text">{{ remark.text }}</RemarkLine>
    </template>
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
    <template #footer>
      <Button label="Close" severity="secondary" text @click="emit('close')" />
      <template v-if="version">
        <Button label="Take it into the draft" severity="secondary" outlined :loading="busy" @click="take" />
        <Button v-if="!version.live" label="Show it to visitors again" :loading="busy" @click="back" />
      </template>
    </template>
  </Dialog>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  margin-bottom: 16px;
}
h3 {
  margin: 16px 0 6px;
}
@media (max-width: 700px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
}
</style>

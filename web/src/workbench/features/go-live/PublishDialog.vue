<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import type { CollectionShape, SearchDesign, SearchSummary } from '../../../shared/contract'
import ChangeTable from './ChangeTable.vue'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import { formatTime, localTime } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
import { became, expectation, useTrials } from '../trials/trials'
import { useAttempt } from '../../kit/useAttempt'

const { search, summary, design, collections, settle } = defineProps<{
  search: string
  summary: SearchSummary | null
  design: SearchDesign | null
  collections: readonly CollectionShape[]
  settle: () => Promise<string | null>
}>()
const shown = defineModel<boolean>({ required: true })
const queries = useQueryClient()
const { busy, wrong, attempt } = useAttempt()
const done = ref(false)
const { failing, refetch } = useTrials(() => search)
const MOST_LISTED = 6
const stops = computed(() => (summary?.remarks ?? []).filter(remark => remark.stops))
const why = ref('')
const WHENS = [
  { value: 'now', label: 'Now' },
  { value: 'later', label: 'At a time to come' },
] as const
const when = ref<'now' | 'later'>('now')
/** As the field of a browser writes it, by the owner's clock. */
const due = ref('')
const doing = computed(() => {
  const what = when.value === 'later' ? 'Plan it' : 'Publish'
  return failing.value.length > 0 ? `${what} all the same` : what
})
const isWorthIt = computed(() => summary?.live == null || summary.differences.length > 0)
const open = computed(() => (summary?.remarks ?? []).filter(remark => !remark.stops))
watch(shown, now => {
  if (!now) return
  wrong.value = ''
  done.value = false
  why.value = ''
  when.value = 'now'
  due.value = ''
  void refetch()
})

async function publish() {
  const tag = await settle()
  if (tag === null) {
    wrong.value = 'The last change is not kept, so it cannot be published. Close this, and try it again.'
    return
  }
  done.value = await attempt(async () => {
    if (when.value === 'later') await api.plan(search, tag, new Date(due.value).toISOString(), why.value)
    else await api.publish(search, tag, why.value)
    await Promise.all([
      queries.invalidateQueries({ queryKey: ['search', search] }),
      queries.invalidateQueries({ queryKey: ['reach', search, 'trials'] }),
    ])
  })
}
</script>

<template>
  <Dialog v-model:visible="shown" modal header="Look over and publish" :draggable="false" :style="{ width: '600px' }">
    <div v-if="done" class="done">
      <i class="pi pi-check-circle" aria-hidden="true" />
      <p>
        <template v-if="when === 'later'">
          <b>It is planned.</b>
          Visitors meet it from {{ formatTime(new Date(due).toISOString()) }} on. What you change in the draft until
          then is not in it.
        </template>
        <template v-else>
          <b>It is live.</b>
          Visitors meet version {{ summary?.live?.version }} from now on.
        </template>
      </p>
    </div>
    <template v-else>
      <p v-if="!summary?.live" class="lead">This is the first time: from now on visitors can use this search.</p>
      <p v-else-if="summary.differences.length === 0" class="lead">
        The draft is what visitors see already. There is nothing to publish.
      </p>
      <ChangeTable
        v-else
        :changes="summary.differences"
        :design="design"
        :collections="collections"
        caption="What differs between the live version and the draft"
        before="Live now"
        after="Then"
      />
      <div v-if="isWorthIt" class="field">
        <label for="publish-why">Why, for whoever looks back</label>
        <InputText id="publish-why" v-model="why" maxlength="300" placeholder="May stay empty" />
      </div>
      <div v-if="isWorthIt" class="when">
        <ButtonChoice v-model="when" label="When" :options="WHENS" />
        <InputText
          v-if="when === 'later'"
          v-model="due"
          type="datetime-local"
          size="small"
          aria-label="Day and time"
          :min="localTime(new Date())"
        />
      </div>
      <p v-if="isWorthIt && summary?.planned && !summary.planned.failure" class="remark">
        <i class="pi pi-clock" aria-hidden="true" />
        A publication is planned for {{ formatTime(summary.planned.due) }}. This takes its place.
      </p>
      <p v-for="remark in stops" :key="remark.text" class="remark bad">
        <i class="pi pi-times-circle" aria-hidden="true" />
        {{ remark.text }}
      </p>
      <p v-for="remark in open" :key="remark.text" class="remark">
        <i class="pi pi-info-circle" aria-hidden="true" />
        {{ remark.text }}
      </p>
      <div v-if="failing.length > 0" class="remark bad" role="alert">
        <i class="pi pi-exclamation-triangle" aria-hidden="true" />
        <div>
          <b>{{ failing.length === 1 ? 'A trial fails' : `${failing.length} trials fail` }} with this draft.</b>
          <ul>
            <li v-for="outcome in failing.slice(0, MOST_LISTED)" :key="outcome.id">
              “{{ outcome.trial.query }}”: {{ expectation(outcome.trial, outcome.title) }}, but
              {{ became(outcome.trial, outcome.draft) }}{{ outcome.live?.holds ? '; it holds live' : '' }}
            </li>
            <li v-if="failing.length > MOST_LISTED">and {{ failing.length - MOST_LISTED }} more</li>
          </ul>
        </div>
      </div>
      <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
    </template>
    <template #footer>
      <Button v-if="done" label="Close" @click="shown = false" />
      <template v-else>
        <Button label="Not yet" severity="secondary" text @click="shown = false" />
        <Button
          :label="doing"
          :severity="failing.length > 0 ? 'danger' : undefined"
          :loading="busy"
          :disabled="stops.length > 0 || !isWorthIt || (when === 'later' && due === '')"
          @click="publish"
        />
      </template>
    </template>
  </Dialog>
</template>

<style scoped>
.remark {
  margin-top: 8px;
}
.remark ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
.when {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 12px;
}
.done {
  display: flex;
  gap: 12px;
  align-items: center;
}
.done .pi {
  font-size: 24px;
  color: var(--good);
}
</style>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, nextTick, onMounted, provide, ref, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate, useRoute, useRouter } from 'vue-router'
import { RequestFailure } from '../../../shared/http'
import { counted, formatTime } from '../../kit/format'
import { api } from '../../ownerApi'
import LoadFailure from '../../kit/LoadFailure.vue'
import PathSteps from './PathSteps.vue'
import PublishDialog from '../go-live/PublishDialog.vue'
import StagePane from '../stage/StagePane.vue'
import WhyPanel from '../why/WhyPanel.vue'
import FiltersStep from '../filters/FiltersStep.vue'
import GoLiveStep from '../go-live/GoLiveStep.vue'
import OrderStep from '../order/OrderStep.vue'
import ReachStep from '../what-is-searched/ReachStep.vue'
import TrialsStep from '../trials/TrialsStep.vue'
import WordsStep from '../words/WordsStep.vue'
import { STAGE } from '../stage/stageAccess'
import { steps, TRIALS, type ViewKey } from './steps'
import { useDraft } from './useDraft'
import { useKeys } from '../../kit/useSingleKeys'

const { site, search, step: here } = defineProps<{ site: string; search: string; step: ViewKey }>()
const router = useRouter()
const stage = ref<InstanceType<typeof StagePane>>()
provide(STAGE, {
  set: () => stage.value?.ticked() ?? {},
  light: filter => stage.value?.light(filter),
  refresh: () => stage.value?.refresh(),
})
// The pages of a site are made anew for each search, so this one is always of the same.
const draft = useDraft(search, () => stage.value?.refresh())
const publishing = ref(false)
const asking = ref(false)
const typed = ref('')
const ticked = ref<Record<string, string[]>>({})
function askWhy(words: string) {
  typed.value = words
  ticked.value = stage.value?.ticked() ?? {}
  asking.value = true
}
const failed = ref<Error | null>(null)
const { data: summary } = useQuery({
  queryKey: ['search', () => search],
  queryFn: () => api.search(search),
  staleTime: 0,
})
const { data: collections } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const panels = {
  'what-is-searched': ReachStep,
  words: WordsStep,
  filters: FiltersStep,
  order: OrderStep,
  'go-live': GoLiveStep,
  trials: TrialsStep,
}

async function load() {
  failed.value = null
  try {
    await draft.load()
  } catch (error) {
    if (!(error instanceof RequestFailure)) throw error
    failed.value = error
  }
}
onMounted(load)
/** *Go to* leads to parts of a step, which are there once the draft is. */
const route = useRoute()
watch(
  () => (draft.design.value && collections.value ? route.hash : ''),
  async part => {
    await nextTick()
    const heading = part === '' ? null : document.getElementById(part.slice(1))
    const column = heading?.closest('.decisions')
    // The column alone: what the browser does by itself moves the whole frame as well.
    if (heading && column)
      column.scrollTop += heading.getBoundingClientRect().top - column.getBoundingClientRect().top - 16
  },
  { immediate: true },
)
/** What the last change, which could not be kept, is in the way of. */
const held = ref<'going' | 'publishing' | null>(null)
const HELD = {
  going: ' If you go now, the last change is lost.',
  publishing: ' It is looked over and published once it is kept.',
}
/** Whoever goes all the same is told once, and may go then. */
async function mayGo() {
  if ((await draft.settle()) !== null || held.value === 'going' || draft.design.value === null) return true
  held.value = 'going'
  return false
}
onBeforeRouteLeave(mayGo)
onBeforeRouteUpdate(to => (to.params.search === search ? true : mayGo()))
watch(draft.keeping, now => {
  if (now === 'kept') held.value = null
})

function walk(by: number) {
  const at = steps.findIndex(one => one.key === here)
  const next = at < 0 ? steps[0] : steps[at + by]
  if (next) void router.push(`/${site}/searches/${search}/${next.key}`)
}
async function lookOver() {
  publishing.value = (await draft.settle()) !== null
  if (!publishing.value) held.value = 'publishing'
}
const state = computed(() => {
  if (!summary.value?.live) return 'Not live yet'
  const changes = summary.value.differences.length
  return changes === 0 ? 'Live as designed' : `Draft · ${counted(changes, 'change')} not live`
})
useKeys({
  'Ctrl+z': draft.undo,
  'Ctrl+Shift+z': draft.redo,
  '[': () => walk(-1),
  ']': () => walk(1),
  '/': () => stage.value?.focusBox(),
  w: () => askWhy(stage.value?.typed() ?? ''),
  t: () => {
    void router.push(`/${site}/searches/${search}/${TRIALS}`)
  },
})
</script>

<template>
  <main v-if="failed" class="page">
    <h1 class="unseen">Search</h1>
    <LoadFailure :error="failed" :back="{ to: `/${site}/searches`, name: 'To the searches' }" @again="load" />
  </main>
  <main v-else-if="draft.design.value && collections" class="search">
    <div class="bar">
      <h1>{{ draft.design.value.name }}</h1>
      <span class="chip" :class="{ calm: summary?.live && summary.differences.length === 0 }">{{ state }}</span>
      <span class="keeping quiet" role="status">
        <template v-if="draft.keeping.value === 'waiting' || draft.keeping.value === 'sending'">Keeping…</template>
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
      <Button label="Look over and publish" @click="lookOver" />
    </div>
    <div
      v-if="draft.keeping.value === 'failed' || draft.keeping.value === 'conflict'"
      class="remark bad notice"
      role="alert"
    >
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
      <Button v-else label="Read the draft again" size="small" severity="secondary" outlined @click="load" />
    </div>
    <div class="columns" :class="{ 'much-to-compare': here === TRIALS }">
      <PathSteps
        :site="site"
        :search="search"
        :here="here"
        :design="draft.design.value"
        :summary="summary ?? null"
        :collections="collections"
      />
      <section class="decisions" :aria-label="here === TRIALS ? 'Trials' : steps.find(one => one.key === here)?.name">
        <component
          :is="panels[here]"
          :draft="draft"
          :site="site"
          :search="search"
          :collections="collections"
          :summary="summary ?? null"
          @publish="lookOver"
          @ask="stage?.ask($event)"
        />
      </section>
      <StagePane ref="stage" :search="search" :site="site" :reasons="here === 'order'" @why="askWhy" />
    </div>
    <WhyPanel
      v-model="asking"
      :draft="draft"
      :search="search"
      :collections="collections"
      :live="Boolean(summary?.live)"
      :typed="typed"
      :ticked="ticked"
    />
    <PublishDialog
      v-model="publishing"
      :search="search"
      :summary="summary ?? null"
      :design="draft.design.value"
      :collections="collections ?? []"
      :settle="draft.settle"
    />
  </main>
</template>

<style scoped>
.search {
  height: 100%;
  display: flex;
  flex-direction: column;
  min-width: 0;
}
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
.columns {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 210px minmax(340px, 400px) minmax(0, 1fr);
}
.columns.much-to-compare {
  grid-template-columns: 210px minmax(420px, 1.15fr) minmax(380px, 1fr);
}
.decisions {
  overflow-y: auto;
  padding: 20px;
  background: var(--leaf);
  border-inline: 1px solid var(--line);
}
@media (max-width: 1080px) {
  .columns {
    grid-template-columns: 60px minmax(300px, 360px) minmax(0, 1fr);
  }
  .columns.much-to-compare {
    grid-template-columns: 60px minmax(380px, 1fr) minmax(320px, 1fr);
  }
  .published {
    display: none;
  }
}
@media (max-width: 760px) {
  .search {
    height: auto;
  }
  .columns {
    display: block;
  }
  .bar {
    flex-wrap: wrap;
  }
}
</style>

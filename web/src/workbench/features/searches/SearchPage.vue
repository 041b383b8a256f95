<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { onMounted, provide, ref, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate, useRouter } from 'vue-router'
import { RequestFailure } from '../../../shared/http'
import { api } from '../../ownerApi'
import { useAccess } from '../../kit/useAccess'
import LoadFailure from '../../kit/LoadFailure.vue'
import PathSteps from './PathSteps.vue'
import SearchBar from './SearchBar.vue'
import PublishDialog from '../go-live/PublishDialog.vue'
import StagePane from '../stage/StagePane.vue'
import WhyPanel from '../why/WhyPanel.vue'
import { STAGE } from '../stage/stageAccess'
import { panels } from './stepPanels'
import { steps, TRIALS, type ViewKey } from './steps'
import { useDraft } from './useDraft'
import { useGoToPart } from './useGoToPart'
import { useKeys } from '../../kit/useSingleKeys'

/** A search being designed: the path of its steps, the decisions of one, and the stage. */
const { site, search, step: here } = defineProps<{ site: string; search: string; step: ViewKey }>()
const router = useRouter()
const stage = ref<InstanceType<typeof StagePane>>()
provide(STAGE, stage)
// The pages of a site are made anew for each search, so this one is always of the same.
const { edits } = useAccess(() => site)
const draft = useDraft(
  search,
  () => stage.value?.refresh(),
  () => edits.value,
)
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
useGoToPart(() => Boolean(draft.design.value && collections.value))
/** What the last change, which could not be kept, is in the way of. */
const held = ref<'going' | 'publishing' | null>(null)
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
    <SearchBar
      :edits="edits"
      :draft="draft"
      :summary="summary ?? null"
      :held="held"
      @publish="lookOver"
      @read-again="load"
    />
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
      <StagePane ref="stage" :search="search" :site="site" :step="here" @why="askWhy" />
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
  /* What is for ears only, far down in a part that scrolls, makes the page no longer. */
  position: relative;
  overflow: clip;
  height: 100%;
  display: flex;
  flex-direction: column;
  min-width: 0;
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
}
@media (max-width: 760px) {
  .search {
    height: auto;
  }
  .columns {
    display: block;
  }
}
</style>

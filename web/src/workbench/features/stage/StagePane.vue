<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../../ownerApi'
import TrialStrip from '../trials/TrialStrip.vue'
import type { WantedSpecimen } from './specimens'
import { askOn, PLACE_OF_STEP, PLACES, stageAddress, ticked, WITH_CARDS } from './stagePage'
import type { StagePlace, StageWidth } from './stagePage'
import { PRETEND, TYPE_A_WORD, type Pretence } from './pretences'
import LookBack from './LookBack.vue'
import OwnPageStage from './OwnPageStage.vue'
import StageSheet from './StageSheet.vue'
import StageTools from './StageTools.vue'
import StageTries from './StageTries.vue'
import { standingOf } from './standing'
import { usePartPicking } from './usePartPicking'

/** The visitors' search, answering from the draft, as it is on the site: where an owner sees what a decision does. */
const { site, search, step } = defineProps<{
  site: string
  search: string
  /** The step whose decisions stand beside it. */
  step: string
}>()
/** That is looked back at; null while it is the draft. */
const version = ref<number | null>(null)
const place = ref<StagePlace>(PLACE_OF_STEP[step] ?? 'results')
watch(
  () => step,
  now => {
    pretence.value = null
    version.value = null
    place.value = PLACE_OF_STEP[now] ?? place.value
  },
)
/** Each result says there why it stands where it stands. */
const reasons = computed(() => step === 'order')
const width = ref<StageWidth>('wide')
/** What is composed just now; null while nothing is. */
const wanted = shallowRef<WantedSpecimen | null>(null)
const frame = ref<HTMLIFrameElement>()
const own = ref<InstanceType<typeof OwnPageStage>>()
const { data: name } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.name,
})
const source = computed(() => stageAddress(search, place.value, name.value ?? '', version.value))

/** The box inside; the stage is of our own origin, so it can be reached. */
const box = () => frame.value?.contentDocument?.querySelector<HTMLElement>('tidy-search') ?? null

const emit = defineEmits<{ why: [typed: string] }>()
const typed = () => box()?.shadowRoot?.querySelector('input')?.value ?? ''
/** What stands in the box, as far as can be seen from here. */
const inBox = ref('')
const look = () => {
  inBox.value = typed()
}
/** Events inside reach the document, whatever of the elements is in the shadow; they are answered by then. */
const inside = shallowRef<Document | null>(null)
const picking = usePartPicking(inside)
const lookAfter = () => setTimeout(look)
useEventListener(inside, ['input', 'keyup', 'click'], lookAfter)
useEventListener(() => inside.value?.defaultView, 'popstate', lookAfter)
async function listen() {
  inside.value = frame.value?.contentDocument ?? null
  // Of the page's own making, and later than the page itself.
  if (place.value === 'cards') await frame.value?.contentWindow?.customElements.whenDefined('tidy-specimens')
  look()
  putGround()
  picking.mark()
  giveReasons()
  giveWanted()
  if (pretence.value) pretend()
  if (isBoxWanted) void frame.value?.contentWindow?.customElements.whenDefined('tidy-search').then(focusBox)
  isBoxWanted = false
}
/** Pages are light or dark, and what stands on them has to go along. */
let ground: 'light' | 'dark' = 'light'
function putGround() {
  const root = frame.value?.contentDocument?.documentElement
  if (root) root.dataset.ground = ground
}
function giveReasons() {
  const results = frame.value?.contentDocument?.querySelector('tidy-results')
  if (results) Object.assign(results, { standing: reasons.value ? standingOf : null })
}
watch(reasons, giveReasons)
function giveWanted() {
  const specimens = frame.value?.contentDocument?.querySelector('tidy-specimens')
  if (specimens) Object.assign(specimens, { wanted: wanted.value })
}
watch(wanted, (now, before) => {
  if (now && !before) place.value = 'cards'
  else if (!now && place.value === 'cards') place.value = 'results'
  giveWanted()
})
const pretence = ref<Pretence | null>(null)
const tellStage = (name: string, detail: unknown = null) =>
  frame.value?.contentWindow?.dispatchEvent(new CustomEvent(name, { detail }))
function pretend() {
  tellStage(PRETEND, pretence.value)
  tellStage('tidy-lantern-refresh')
}
watch(pretence, pretend)
let isBoxWanted = false
function focusBox() {
  frame.value?.contentWindow?.focus()
  box()?.focus()
}
function ask(query: string) {
  place.value = 'results'
  askOn(frame.value?.contentWindow, query)
}

defineExpose({
  /** Has the elements ask again, since the draft changed. */
  refresh: () => {
    tellStage('tidy-lantern-refresh')
    own.value?.refresh()
  },
  parts: picking,
  /** Shows the card that is composed, in every place; null once it is composed no more. */
  compose: (specimen: WantedSpecimen | null) => {
    wanted.value = specimen
  },
  /** Makes the page light or dark. */
  ground: (shade: 'light' | 'dark') => {
    ground = shade
    putGround()
  },
  /** Lights a filter wherever it is drawn; null for none. */
  light: (filter: string | null) => {
    frame.value?.contentWindow?.dispatchEvent(new CustomEvent('tidy-lantern-light', { detail: filter }))
  },
  showVersion: (wantedVersion: number | null) => {
    version.value = wantedVersion
    // A page of the site's own shows the draft alone.
    if (place.value === 'own') place.value = 'results'
  },
  typed,
  ticked: () => ticked(frame.value?.contentWindow),
  ask,
  focusBox: () => {
    // Where there is no box, there will be one.
    isBoxWanted = place.value === 'cards' || place.value === 'own'
    if (isBoxWanted) place.value = 'results'
    else focusBox()
  },
})
</script>

<template>
  <section class="stage" aria-label="Stage: the visitors’ search, answering from the draft">
    <StageTools
      v-model:place="place"
      v-model:width="width"
      :places="wanted ? WITH_CARDS : PLACES"
      @why="emit('why', typed())"
    />
    <LookBack v-if="version !== null" :version="version" @end="version = null" />
    <OwnPageStage v-if="place === 'own'" ref="own" :site="site" :search="search" :width="width" />
    <StageSheet v-else :width="width">
      <iframe
        :key="source"
        ref="frame"
        :src="source"
        title="The visitors’ search, answering from the draft"
        @load="listen"
      />
    </StageSheet>
    <StageTries v-if="PLACE_OF_STEP[step] && place !== 'own'" v-model="pretence" @type="tellStage(TYPE_A_WORD)" />
    <TrialStrip
      v-else-if="place !== 'own' && version === null"
      :site="site"
      :search="search"
      :typed="inBox"
      @ask="ask"
    />
  </section>
</template>

<style scoped>
.stage {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  padding: 12px 16px 0;
  background: #ece8dc;
  container-type: inline-size;
}
</style>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { useEventListener } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import { api } from '../../ownerApi'
import TrialStrip from '../trials/TrialStrip.vue'
import { standingOf } from './standing'
import { askOn, ticked } from './stagePage'
import { usePartPicking } from './usePartPicking'

/** The visitors' search, answering from the draft, as it is on the site: where an owner sees what a decision does. */
const { site, search, reasons } = defineProps<{
  site: string
  search: string
  /** Whether each result says why it stands where it stands. */
  reasons: boolean
}>()
const PLACES = [
  { label: 'Results page', value: 'results' },
  { label: 'Box on a page', value: 'box' },
  { label: 'Filters alone', value: 'home' },
]
const WIDTHS = [
  { label: 'Wide', value: 'wide' },
  { label: 'Phone', value: 'phone' },
]
const place = ref('results')
const width = ref('wide')
const frame = ref<HTMLIFrameElement>()
const { data: name } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.name,
})
const source = computed(
  () => `/workbench/stage.html#${new URLSearchParams({ search, place: place.value, site: name.value ?? '' })}`,
)

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
function listen() {
  inside.value = frame.value?.contentDocument ?? null
  look()
  putGround()
  picking.mark()
  giveReasons()
}
/** Pages are light or dark, and what stands on them has to go along. */
let ground: 'light' | 'dark' = 'light'
function putGround() {
  const root = frame.value?.contentDocument?.documentElement
  if (root) root.dataset.ground = ground
}
function giveReasons() {
  const results = frame.value?.contentDocument?.querySelector('tidy-results')
  if (results) Object.assign(results, { standing: reasons ? standingOf : null })
}
watch(() => reasons, giveReasons)
function ask(query: string) {
  place.value = 'results'
  askOn(frame.value?.contentWindow, query)
}

defineExpose({
  /** Has the elements ask again, since the draft changed. */
  refresh: () => {
    frame.value?.contentWindow?.dispatchEvent(new Event('tidy-lantern-refresh'))
  },
  parts: picking,
  /** Makes the page light or dark. */
  ground: (shade: 'light' | 'dark') => {
    ground = shade
    putGround()
  },
  /** Lights a filter wherever it is drawn; null for none. */
  light: (filter: string | null) => {
    frame.value?.contentWindow?.dispatchEvent(new CustomEvent('tidy-lantern-light', { detail: filter }))
  },
  typed,
  ticked: () => ticked(frame.value?.contentWindow),
  ask,
  focusBox: () => {
    frame.value?.contentWindow?.focus()
    box()?.focus()
  },
})
</script>

<template>
  <section class="stage" aria-label="Stage: the visitors’ search, answering from the draft">
    <div class="tools">
      <ButtonChoice v-model="place" label="Place on the site" :options="PLACES" />
      <ButtonChoice v-model="width" label="Width" :options="WIDTHS" />
      <span class="hint quiet">
        <kbd>/</kbd>
        to type
      </span>
      <Button
        label="Why?"
        icon="pi pi-question-circle"
        size="small"
        severity="secondary"
        outlined
        title="Why an item is found, or not (W)"
        @click="emit('why', typed())"
      />
    </div>
    <div class="sheet" :class="width">
      <iframe
        :key="source"
        ref="frame"
        :src="source"
        title="The visitors’ search, answering from the draft"
        @load="listen"
      />
    </div>
    <TrialStrip :site="site" :search="search" :typed="inBox" @ask="ask" />
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
}
.tools {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-bottom: 12px;
}
.stage {
  container-type: inline-size;
}
.hint {
  margin-left: auto;
  font-size: 12.5px;
  color: #4f5d64;
  white-space: nowrap;
}
@container (max-width: 560px) {
  .tools {
    gap: 6px;
  }
  .tools :deep(.p-togglebutton-content) {
    padding-inline: 6px;
    font-size: 12.5px;
    white-space: nowrap;
  }
  .hint {
    display: none;
  }
  .tools > :last-child {
    margin-left: auto;
  }
}
.sheet {
  flex: 1;
  min-height: 420px;
  width: 100%;
  margin: 0 auto;
  background: #fff;
  border-radius: 10px 10px 0 0;
  box-shadow: 0 6px 24px rgb(27 42 51 / 15%);
  overflow: hidden;
  transition: width 0.18s;
}
.sheet.phone {
  width: min(390px, 100%);
}
iframe {
  display: block;
  width: 100%;
  height: 100%;
  border: 0;
}
</style>

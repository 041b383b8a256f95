<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { LiveResults } from '../../shared/contract'
import type { Latest } from '../../shared/useLatest'
import { cardOf } from '../cards/cardOf'
import { useTexts } from '../texts'
import LiveResult from './LiveResult.vue'
import type { LiveRow } from './liveRows'

const { nothingFor, say } = useTexts()
/** The live results below a search box: queries to go on with, results by collection, the way to all of them. */
const { id, live, rows, active } = defineProps<{
  /** That the box's own ids begin with. */
  id: string
  /** What the list is called. */
  label: string
  live: Latest<LiveResults>
  rows: readonly LiveRow[]
  /** The row that Enter would choose; -1 for none. */
  active: number
  target: string | undefined
}>()
const emit = defineEmits<{ goOn: [query: string]; leave: []; all: [] }>()

const EDGE_PX = 8
const panel = ref<HTMLElement>()
/** Whether it hangs from the end of the box, since it would leave the window otherwise. */
const fromEnd = ref(false)
onMounted(() => {
  const root = panel.value?.getRootNode()
  const box = root instanceof ShadowRoot ? root.host.getBoundingClientRect() : undefined
  const width = panel.value?.offsetWidth ?? 0
  fromEnd.value =
    box !== undefined && box.left + width > document.documentElement.clientWidth - EDGE_PX && box.right - width >= 0
})
watch(
  () => rows[active]?.id,
  async now => {
    await nextTick()
    if (now) panel.value?.querySelector(`#${CSS.escape(now)}`)?.scrollIntoView({ block: 'nearest' })
  },
)
const total = computed(() => live.value?.total ?? 0)
const queries = computed(() => rows.filter(row => row.query !== null))
const all = computed(() => rows.find(row => row.query === null && row.hit === null))
/** The results by collection, each with its row. */
const groups = computed(() =>
  (live.value?.groups ?? []).map(group => ({
    ...group,
    rows: group.hits.flatMap(hit => {
      const card = cardOf(hit, live.value?.cards ?? [])
      return card ? [{ hit, card, row: rows.find(row => row.hit === hit) }] : []
    }),
  })),
)
const isActive = (row: LiveRow | undefined) => row !== undefined && rows[active] === row
</script>

<template>
  <div ref="panel" class="panel" :class="{ 'from-end': fromEnd }" part="panel" @pointerdown.prevent>
    <p v-if="live.kind === 'failed'">{{ say('failed') }}</p>
    <template v-else-if="total === 0">
      <p class="strong">{{ nothingFor(live.value?.query ?? '') }}</p>
      <p v-if="queries.length === 0">{{ say('nothingHint') }}</p>
    </template>
    <div :id="`${id}-list`" class="list" role="listbox" :aria-label="label" :aria-busy="live.kind === 'loading'">
      <div
        v-if="queries.length > 0"
        role="group"
        class="queries"
        part="group"
        :aria-label="total > 0 ? say('goOn') : say('didYouMean')"
      >
        <span v-if="total === 0" aria-hidden="true">{{ say('didYouMean') }}</span>
        <span
          v-for="row in queries"
          :id="row.id"
          :key="row.id"
          role="option"
          class="query"
          :class="{ active: isActive(row) }"
          :part="isActive(row) ? 'query query-active' : 'query'"
          :aria-selected="isActive(row)"
          @click="emit('goOn', row.query ?? '')"
        >
          {{ row.query }}
        </span>
      </div>
      <div
        v-for="group in groups"
        :key="group.collection"
        role="group"
        :aria-labelledby="`${id}-${group.collection}`"
        part="group"
      >
        <div :id="`${id}-${group.collection}`" class="group-label" role="presentation">
          {{ group.label }}
          <span aria-hidden="true">{{ group.total }}</span>
        </div>
        <LiveResult
          v-for="{ hit, card, row } in group.rows"
          :id="row?.id"
          :key="hit.id"
          :hit="hit"
          :card="card"
          :tiers="live.value?.tiers ?? []"
          :active="isActive(row)"
          :href="row?.address ?? undefined"
          :target="target"
          @click="emit('leave')"
        />
      </div>
      <a
        v-if="all"
        :id="all.id"
        role="option"
        tabindex="-1"
        class="all"
        :class="{ active: isActive(all) }"
        :aria-selected="isActive(all)"
        :href="all.address ?? undefined"
        @click.prevent="emit('all')"
      >
        {{ say('seeAll', { count: total }) }}
        <span class="keys" aria-hidden="true">{{ say('listKeys') }}</span>
      </a>
    </div>
  </div>
</template>

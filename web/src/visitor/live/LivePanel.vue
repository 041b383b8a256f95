<script setup lang="ts">
import { computed, inject, nextTick, onMounted, ref, watch } from 'vue'
import { BOX } from '../box/boxContext'
import { cardOf } from '../cards/cardOf'
import { useTexts } from '../texts'
import LiveQueries from './LiveQueries.vue'
import LiveResult from './LiveResult.vue'
import type { LiveRow } from './liveRows'
import { useStyle } from '../look/useStyle'
import cards from '../cards/cards.css?inline'
import { useTierStyle } from '../cards/tierStyle'
import css from './live.css?inline'

for (const one of [css, cards]) useStyle(one)
useTierStyle()

/** The live results of a search box: queries to go on with, results, the way to the rest and to all of them. */
const { floating } = defineProps<{
  /** Whether they hang below the box; else they stand where they are. */
  floating: boolean
}>()
const box = inject(BOX)!
const { nothingFor, say } = useTexts()
const { live, rows, active } = box.live

const EDGE_PX = 8
const panel = ref<HTMLElement>()
/** Whether it hangs from the end of the box, since it would leave the window otherwise. */
const fromEnd = ref(false)
onMounted(() => {
  const around = panel.value?.parentElement?.getBoundingClientRect()
  const width = panel.value?.offsetWidth ?? 0
  const { clientWidth } = document.documentElement
  fromEnd.value = around !== undefined && around.left + width > clientWidth - EDGE_PX && around.right - width >= 0
})
const activeRow = computed(() => rows.value[active.value])
watch(
  () => activeRow.value?.id,
  async now => {
    await nextTick()
    if (now) panel.value?.querySelector(`#${CSS.escape(now)}`)?.scrollIntoView({ block: 'nearest' })
  },
)
const answer = computed(() => live.value.value)
const total = computed(() => answer.value?.total ?? 0)
const queries = computed(() => rows.value.filter(row => row.kind === 'query'))
const more = computed(() => rows.value.find(row => row.kind === 'more'))
const all = computed(() => rows.value.find(row => row.kind === 'all'))
/** The results by collection, or all in one list, each with its row; those that 'more' shows are not there yet. */
const groups = computed(() =>
  (answer.value?.groups ?? [])
    .map(group => ({
      ...group,
      name: group.collection ?? 'all',
      rows: group.hits.flatMap(hit => {
        const card = cardOf(hit, answer.value?.cards ?? [])
        const row = rows.value.find(one => one.kind === 'hit' && one.hit === hit)
        return card && row ? [{ hit, card, row }] : []
      }),
    }))
    .filter(group => group.rows.length > 0),
)
const isActive = (row: LiveRow | undefined) => row !== undefined && activeRow.value === row
/** The owner's measures, as custom properties that the style sheet goes by. */
const measures = computed(() => {
  const form = box.list.value?.form
  return {
    '--columns': String(form?.columns ?? 1),
    '--row-gap': `${form?.gap ?? 0}px`,
    ...(form?.width ? { '--panel-width': `${form.width}px` } : {}),
    ...(form?.height ? { '--panel-height': `${form.height}px` } : {}),
  }
})
</script>

<template>
  <div
    ref="panel"
    class="panel"
    :class="{ floating, 'from-end': fromEnd }"
    :style="measures"
    part="panel"
    @pointerdown.prevent
  >
    <p v-if="live.kind === 'failed'">{{ say('failed') }}</p>
    <template v-else-if="answer && total === 0">
      <p class="strong">{{ nothingFor(answer.query) }}</p>
      <p v-if="queries.length === 0">{{ say('nothingHint') }}</p>
    </template>
    <div
      :id="`${box.id}-list`"
      class="list"
      role="listbox"
      :aria-label="box.named.value"
      :aria-busy="live.kind === 'loading'"
    >
      <LiveQueries :rows="queries" :total="answer ? total : null" :active="activeRow" @choose="box.choose" />
      <div
        v-for="group in groups"
        :key="group.name"
        role="group"
        :aria-labelledby="group.collection ? `${box.id}-${group.collection}` : undefined"
        :aria-label="group.collection ? undefined : say('count', { count: group.total })"
        part="group"
      >
        <div v-if="group.collection" :id="`${box.id}-${group.collection}`" class="group-label" role="presentation">
          {{ group.label }}
          <span aria-hidden="true">{{ group.total }}</span>
        </div>
        <div class="rows" role="presentation">
          <LiveResult
            v-for="{ hit, card, row } in group.rows"
            :id="row.id"
            :key="`${hit.collection}/${hit.id}`"
            :hit="hit"
            :card="card"
            :tiers="answer?.tiers ?? []"
            :active="isActive(row)"
            :href="row.address ?? undefined"
            :target="box.target.value"
            @click="box.choose(row, $event)"
          />
        </div>
      </div>
      <div
        v-if="more"
        :id="more.id"
        role="option"
        class="more-rows"
        part="more"
        :class="{ active: isActive(more) }"
        :aria-selected="isActive(more)"
        @click="box.choose(more)"
      >
        {{ say('moreLive', { count: more.count }) }}
      </div>
      <a
        v-if="all"
        :id="all.id"
        role="option"
        tabindex="-1"
        class="all"
        part="all"
        :class="{ active: isActive(all) }"
        :aria-selected="isActive(all)"
        :href="all.address ?? undefined"
        @click.prevent="box.choose(all)"
      >
        {{ say('seeAll', { count: total }) }}
        <span class="keys" aria-hidden="true">{{ say('listKeys') }}</span>
      </a>
    </div>
    <button v-if="answer === null && queries.length > 0" type="button" class="again" @click="box.forget">
      {{ say('forgetRecent') }}
    </button>
  </div>
</template>

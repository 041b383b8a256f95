<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import Slider from 'primevue/slider'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref, watch } from 'vue'
import type { CollectionShape, SearchSummary, Words } from '../../../shared/contract'
import { formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import SynonymsEditor from './SynonymsEditor.vue'
import VisitorHelp from './VisitorHelp.vue'
import ExcerptShape from './ExcerptShape.vue'
import StopWordsEditor from './StopWordsEditor.vue'
import type { DraftEditing } from '../searches/useDraft'

const { draft, search, collections, summary } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const words = computed(() => draft.design.value!.words)
const remarks = computed(() => (summary?.remarks ?? []).filter(remark => remark.step === 'words'))

interface Row {
  key: string
  label: string
  in: string[]
}
/** Every field with words in it that a searched collection has. */
const fields = computed<Row[]>(() => {
  const searched = new Set(draft.design.value!.reach.collections.map(one => one.collection))
  const found = new Map<string, Row>()
  for (const collection of collections) {
    if (!searched.has(collection.key)) continue
    for (const field of collection.fields) {
      if (!field.searchable) continue
      const row = found.get(field.key) ?? { key: field.key, label: field.label, in: [] }
      row.in.push(collection.label)
      found.set(field.key, row)
    }
  }
  return [...found.values()]
})
const weightOf = (key: string) => words.value.weights.find(one => one.field === key)?.weight ?? 0
/** The order of the rows stays while they are worked on: by weight as it was when the step was opened. */
const order = ref<string[]>([])
watch(
  fields,
  now => {
    const added = now.map(row => row.key).filter(key => !order.value.includes(key))
    order.value = [...order.value, ...added.sort((a, b) => weightOf(b) - weightOf(a))]
  },
  { immediate: true },
)
const rows = computed(() =>
  order.value.map(key => fields.value.find(row => row.key === key)).filter(row => row !== undefined),
)
const reachedCollections = computed(() => draft.design.value!.reach.collections.length)
const where = (row: Row) =>
  row.in.length >= reachedCollections.value && row.in.length > 1 ? 'everywhere' : row.in.join(', ')

function said(weight: number): string {
  if (weight === 0) return 'not searched'
  if (weight <= 1) return 'counts a little'
  if (weight <= 3) return 'counts'
  if (weight <= 6) return 'counts much'
  return 'counts most'
}
function weigh(key: string, weight: number) {
  draft.change(`weight.${key}`, design => {
    const weights = design.words.weights.some(one => one.field === key)
      ? design.words.weights.map(one => (one.field === key ? { ...one, weight } : one))
      : [...design.words.weights, { field: key, weight }]
    return { ...design, words: { ...design.words, weights } }
  })
}
function set(part: string, changed: Partial<Words>) {
  draft.change(part, design => ({ ...design, words: { ...design.words, ...changed } }))
}
const needed: { label: string; value: Words['needed'] }[] = [
  { label: 'All', value: 'all' },
  { label: 'Most', value: 'most' },
  { label: 'Any', value: 'any' },
]
const parts: { label: string; value: Words['partOfWord'] }[] = [
  { label: 'A whole word', value: 'whole' },
  { label: 'Its start', value: 'start' },
  { label: 'Any part of it', value: 'inside' },
]
const partsHelp = computed(
  () =>
    ({
      whole: '“bird” finds “bird” and its other forms.',
      start: '“bird” finds “birdsong” too.',
      inside: '“bird” finds “hummingbird” too, from three letters on.',
    })[words.value.partOfWord],
)
const { data: fieldCounts } = useQuery({
  queryKey: ['reach', () => search, 'fields'],
  queryFn: () => api.fieldCounts(search),
  staleTime: 0,
})
const itemsOf = (key: string) => fieldCounts.value?.find(one => one.field === key)?.items
const languages = computed(() =>
  [
    ...new Set(
      collections
        .filter(one => draft.design.value!.reach.collections.some(searched => searched.collection === one.key))
        .map(one => one.language.split('-')[0]!),
    ),
  ].sort(),
)
/** Fields that say what an item is about in few words, those that hold its text, and the rest. */
const PROSE = ['summary', 'body', 'headings']
const groups: { label: string; what: string; weigh: (key: string) => number }[] = [
  { label: 'Titles only', what: 'Nothing but titles counts', weigh: key => (key === 'title' ? 5 : 0) },
  {
    label: 'Titles and texts',
    what: 'Titles count most, texts less',
    weigh: key => (key === 'title' ? 5 : key === 'summary' || key === 'headings' ? 2 : key === 'body' ? 1 : 0),
  },
  {
    label: 'Everything',
    what: 'Every field with words in it counts',
    weigh: key =>
      key === 'title' ? 5 : PROSE.includes(key) && key !== 'body' ? 2 : key === 'body' ? 1 : Math.max(1, weightOf(key)),
  },
]
function weighAll(by: (key: string) => number) {
  draft.change('weights', design => ({
    ...design,
    words: { ...design.words, weights: rows.value.map(row => ({ field: row.key, weight: by(row.key) })) },
  }))
}
const letters = [1, 2, 3, 4].map(value => ({ label: String(value), value }))
const neededHelp = computed(
  () =>
    ({
      all: 'An item must hold every word, in any of its fields together.',
      most: 'All of one or two words; of more, three quarters.',
      any: 'One word is enough; items with more come first.',
    })[words.value.needed],
)
</script>

<template>
  <h2>Words</h2>
  <p class="lead">Which fields count, and how much. The stage answers as you move them.</p>
  <p v-for="remark in remarks" :key="remark.text" class="remark" role="status">
    <i class="pi pi-info-circle" aria-hidden="true" />
    {{ remark.text }}
  </p>
  <div class="groups" role="group" aria-label="Fields as a group">
    <Button
      v-for="group in groups"
      :key="group.label"
      :label="group.label"
      :title="group.what"
      size="small"
      severity="secondary"
      outlined
      @click="weighAll(group.weigh)"
    />
  </div>
  <ul class="weights">
    <li v-for="row in rows" :key="row.key" :class="{ off: weightOf(row.key) === 0 }">
      <span class="name">
        <b :id="`weight-${row.key}`">{{ row.label }}</b>
        <small class="quiet">
          {{ itemsOf(row.key) === undefined ? '' : `${formatNumber(itemsOf(row.key)!)} items · ` }}{{ where(row) }}
        </small>
      </span>
      <span class="slide">
        <Slider
          :model-value="weightOf(row.key)"
          :min="0"
          :max="10"
          :step="1"
          :aria-labelledby="`weight-${row.key}`"
          @update:model-value="weigh(row.key, $event as number)"
        />
        <small class="quiet">{{ said(weightOf(row.key)) }}</small>
      </span>
      <output class="number" :aria-label="`Weight of ${row.label}`">{{ weightOf(row.key) }}</output>
    </li>
  </ul>
  <h2 id="strictness" class="second">How strictly words must match</h2>
  <div class="choice">
    <span id="needed" class="label">Words needed</span>
    <SelectButton
      :model-value="words.needed"
      :options="needed"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-labelledby="needed"
      @update:model-value="set('needed', { needed: $event })"
    />
    <small class="quiet">{{ neededHelp }}</small>
  </div>
  <div class="choice">
    <span id="part" class="label">What is typed may be</span>
    <SelectButton
      :model-value="words.partOfWord"
      :options="parts"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-labelledby="part"
      @update:model-value="set('partOfWord', { partOfWord: $event })"
    />
    <small class="quiet">{{ partsHelp }}</small>
  </div>
  <div class="choice">
    <span id="letters" class="label">Search from how many letters on</span>
    <SelectButton
      :model-value="words.fewestLetters"
      :options="letters"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-labelledby="letters"
      @update:model-value="set('fewestLetters', { fewestLetters: $event })"
    />
  </div>
  <div class="switches">
    <label for="typos">
      <span>
        <b>Forgive typos</b>
        <small class="quiet">One slip in 4 to 7 letters, two from 8 on, where a word as typed is hardly found.</small>
      </span>
      <ToggleSwitch
        input-id="typos"
        :model-value="words.typos.allowed"
        @update:model-value="set('typos', { typos: { ...words.typos, allowed: $event } })"
      />
    </label>
    <label v-if="words.typos.allowed" for="first-letter">
      <span>
        <b>Even in the first letter</b>
        <small class="quiet">Finds more, and more that was not meant.</small>
      </span>
      <ToggleSwitch
        input-id="first-letter"
        :model-value="!words.typos.firstLetterFixed"
        @update:model-value="set('firstLetter', { typos: { ...words.typos, firstLetterFixed: !$event } })"
      />
    </label>
    <label for="stemming">
      <span>
        <b>Find other forms of a word</b>
        <small class="quiet">“baking” finds “baked” too.</small>
      </span>
      <ToggleSwitch
        input-id="stemming"
        :model-value="words.stemming"
        @update:model-value="set('stemming', { stemming: $event })"
      />
    </label>
    <label for="operators">
      <span>
        <b>Allow operators</b>
        <small class="quiet">“exact words” in quotes, AND, OR, NOT or a minus, parentheses.</small>
      </span>
      <ToggleSwitch
        input-id="operators"
        :model-value="words.operators"
        @update:model-value="set('operators', { operators: $event })"
      />
    </label>
  </div>
  <h2 id="synonyms" class="second">Synonyms</h2>
  <p class="quiet part">
    Other words for the same thing, phrases too. What is found by them comes after what holds the word itself.
  </p>
  <SynonymsEditor
    :search="search"
    :model-value="words.synonyms"
    @update:model-value="set('synonyms', { synonyms: [...$event] })"
  />
  <h2 id="stop-words" class="second">Words that do not count</h2>
  <p class="quiet part">They need not be there, unless nothing else is typed.</p>
  <StopWordsEditor
    :languages="languages"
    :model-value="words.stopWords"
    @update:model-value="set('stopWords', { stopWords: [...$event] })"
  />
  <h2 id="help" class="second">Help for visitors</h2>
  <p class="quiet part">Nothing is offered that would lead to an empty page.</p>
  <VisitorHelp :model-value="words.help" @update:model-value="set('help', { help: $event })" />
  <h2 id="excerpt" class="second">Text under a title</h2>
  <p class="quiet part">The summary first; where it is short or does not hold the words, the text around them.</p>
  <ExcerptShape :model-value="words.excerpt" @update:model-value="set('excerpt', { excerpt: $event })" />
</template>

<style scoped>
.remark {
  margin-top: 12px;
}
.weights {
  list-style: none;
  margin: 16px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 24px;
  gap: 16px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.name b {
  display: block;
  font-weight: 600;
  line-height: 1.3;
  overflow-wrap: anywhere;
}
.name small {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 1;
  overflow: hidden;
  font-size: 12.5px;
}
.slide {
  display: grid;
  gap: 8px;
  padding-top: 8px;
}
.slide small {
  font-size: 12.5px;
  line-height: 1;
}
output {
  text-align: end;
  font-weight: 650;
}
.off output,
.off .name b {
  color: var(--quiet);
}
.off :deep(.p-slider-handle) {
  opacity: 0.8;
}
.second {
  margin: 28px 0 0;
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 12px;
}
.part {
  margin: 4px 0 10px;
  font-size: 13.5px;
}
.choice {
  display: grid;
  justify-items: start;
  gap: 6px;
  margin-top: 16px;
}
.switches {
  margin-top: 20px;
}
.switches label {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  cursor: pointer;
}
.switches small {
  display: block;
}
</style>

<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import AutoComplete from 'primevue/autocomplete'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue'
import type {
  CollectionShape,
  Explanation,
  NamedItem,
  Reason,
  ReachRule,
  Remedy,
  SearchDesign,
  Trial,
} from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import { expectation, useTrials } from '../trials/trials'
import { useAttempt } from '../../kit/useAttempt'
import type { DraftEditing } from '../searches/useDraft'
import LoadFailure from '../../kit/LoadFailure.vue'

/** Why a query finds an item where it does, or why it does not; and what would change that, on the draft. */
const { draft, search, collections, live, typed, ticked } = defineProps<{
  draft: DraftEditing
  search: string
  collections: readonly CollectionShape[]
  live: boolean
  typed: string
  ticked: Readonly<Record<string, readonly string[]>>
}>()
const shown = defineModel<boolean>({ required: true })
const words = ref('')
/** What is asked, a moment after the last key: an explanation is work for the service. */
const asked = ref('')
const PAUSE = 250
let timer: ReturnType<typeof setTimeout> | undefined
watch(words, now => {
  clearTimeout(timer)
  timer = setTimeout(() => {
    asked.value = now
  }, PAUSE)
})
onBeforeUnmount(() => clearTimeout(timer))
const which = ref<'draft' | 'live-version'>('draft')
const sides = [
  { value: 'draft', label: 'Draft' },
  { value: 'live-version', label: 'Live' },
]
const picked = ref<NamedItem | string | null>(null)
const offered = ref<NamedItem[]>([])
watch(shown, async now => {
  if (!now) return
  words.value = typed || words.value
  await nextTick()
  document.getElementById('why-words')?.focus()
})
const item = computed(() => (picked.value !== null && typeof picked.value === 'object' ? picked.value : null))

async function offer(text: string) {
  offered.value =
    text.trim() === '' && words.value.trim() !== ''
      ? (await api.draftResults(search, words.value)).hits.map(hit => ({
          collection: hit.collection,
          id: hit.id,
          title: hit.title,
        }))
      : await api.anyItems(search, text)
}
const labelOf = (key: string) => collections.find(one => one.key === key)?.label ?? key
const fieldLabel = (key: string) =>
  collections.find(one => one.key === item.value?.collection)?.fields.find(field => field.key === key)?.label ?? key

const {
  data: why,
  error,
  refetch,
} = useQuery({
  queryKey: [
    'reach',
    () => search,
    'why',
    which,
    asked,
    () => item.value?.collection,
    () => item.value?.id,
    () => ticked,
  ],
  enabled: computed(() => item.value !== null),
  placeholderData: keepPreviousData,
  staleTime: 0,
  queryFn: () => api.why(search, which.value, asked.value, item.value!, ticked),
})
const ways: Record<Explanation['words'][number]['fields'][number]['way'], string> = {
  'whole-name': 'a whole name',
  exact: 'the word itself',
  stem: 'another form',
  start: 'its start',
  'name-otherwise': 'a whole name, written together or apart',
  together: 'written as one word',
  apart: 'written as words side by side',
  piece: 'a piece of a word',
  inside: 'inside a word',
  'typo-name': 'a whole name, one slip off',
  typo: 'one slip off',
  'typo-start': 'a start, one slip off',
  'typo-inside': 'a part, one slip off',
  'far-typo-name': 'a whole name, two slips off',
  'far-typo': 'two slips off',
  'far-typo-start': 'a start, two slips off',
  'far-typo-inside': 'a part, two slips off',
  synonym: 'a synonym',
}
const quoted = (list: readonly string[]) => list.map(word => `“${word}”`).join(', ')
function ruleSaid(rule: ReachRule | null): string {
  if (!rule) return ''
  if (rule.field) return `${fieldLabel(rule.field)} ${rule.value?.split('/').join(' › ')}`
  return rule.author ? `author ${rule.author}` : rule.item ? 'this item' : `address ${rule.address}`
}
const said: Record<Reason['kind'], (reason: Reason) => string> = {
  'not-there': () => 'There is no such item any more.',
  'collection-not-searched': () => `${labelOf(item.value?.collection ?? '')} is not searched.`,
  'kept-out': () => 'You keep it out of every search. Let it in on its own page.',
  'left-out': reason => `A rule leaves it out: ${ruleSaid(reason.rule)}.`,
  'not-let-in': reason => `Only some are let in, such as ${ruleSaid(reason.rule)}, and it is none of them.`,
  'field-not-searched': reason =>
    `${quoted(reason.words)} stands in ${reason.fields.map(fieldLabel).join(' and ')}, which is not searched.`,
  'too-strict': reason => `It holds ${quoted(reason.words)} in a way that is not allowed.`,
  'word-nowhere': reason => `${quoted(reason.words)} stands nowhere in it.`,
  'too-few-words': reason =>
    `It holds too few of the words: ${quoted(reason.words)} ${reason.words.length === 1 ? 'is' : 'are'} missing.`,
  filtered: reason =>
    `It is lost to a filter: ${reason.fields.map(fieldLabel).join(' and ')} must be ${reason.words.map(value => value.split('/').join(' › ')).join(' or ')}. Take the tick off on the stage.`,
  operators: () => 'It does not fit the operators in the query.',
  'taken-out': () => 'A pin takes it out of this query.',
}
const cures: Record<Remedy['cure'], (remedy: Remedy) => string> = {
  'search-collection': () => 'Search this collection',
  'drop-rule': () => 'Take the rule back',
  'drop-only-rules': () => 'Take these rules back',
  'search-field': remedy => `Search ${fieldLabel(remedy.field ?? '')}`,
  'allow-typos': () => 'Forgive typos',
  'free-first-letter': () => 'Forgive the first letter too',
  'match-starts': () => 'Let starts of words do',
  'match-inside': () => 'Let parts of words do',
  'find-other-forms': () => 'Find other forms of a word',
  'add-synonym': () => 'Add it as a synonym of the title',
  'need-fewer-words': () => 'Let one word do',
  'no-operators': () => 'Read operators as words',
  'drop-pin': () => 'Let it in again',
}
/** What else than the order's keys moves it. */
const moved = computed(() => {
  const standing = why.value?.standing
  if (!standing) return ''
  if (standing.pinnedAt !== null) return `A pin puts it at place ${standing.pinnedAt}.`
  if (standing.tierName === null) return ''
  return standing.lifted
    ? `It is lifted, since it holds “${standing.tierName}”${standing.placeInTier !== null ? `, at place ${standing.placeInTier} in the tier` : standing.takesTurns ? '; those of the tier take turns by day' : ''}.`
    : `It holds “${standing.tierName}”, which marks it and does not lift it here.`
})
const effect = (remedy: Remedy) =>
  `${remedy.place ? `then place ${formatNumber(remedy.place)}` : 'then other reasons remain'} · ${counted(remedy.total, 'result')} instead of ${formatNumber(why.value?.total ?? 0)}`
function keep(after: SearchDesign) {
  draft.change('why', () => after)
  // The button goes with the reason that it takes away; the keys stay here.
  document.getElementById('why-heading')?.focus()
}
function leaveOut(rule: ReachRule) {
  draft.change('why.leave-out', design => ({
    ...design,
    reach: {
      collections: design.reach.collections.map(one =>
        one.collection === item.value?.collection ? { ...one, leaveOut: [...one.leaveOut, rule] } : one,
      ),
    },
  }))
}
const cut = computed(() =>
  (why.value?.words ?? [])
    .filter(word => word.cut)
    .map(word => `“${word.word}”`)
    .join(', '),
)
const { ran, again } = useTrials(() => search)
const { busy, wrong, attempt } = useAttempt()
const FIRST = [1, 3, 10, 20, 50, 100]
/**
 * What a trial of this would expect: the item no further down than about where it is; one that is not found, on the
 * first page.
 */
const trial = computed<Trial | null>(() => {
  if (!item.value || !why.value || asked.value.trim() === '' || why.value.startingList) return null
  const place = why.value.place ?? 10
  return {
    query: asked.value.trim(),
    expects: 'within',
    collection: item.value.collection,
    item: item.value.id,
    number: FIRST.find(first => place <= first) ?? 100,
    suggestion: null,
  }
})
const kept = computed(
  () =>
    ran.value?.outcomes.some(
      one =>
        one.trial.query === trial.value?.query &&
        one.trial.collection === trial.value.collection &&
        one.trial.item === trial.value.item,
    ) ?? false,
)
const keepTrial = (made: Trial) =>
  attempt(async () => {
    await api.addTrial(search, made)
    await again()
  })
const share = (gives: number) => `${Math.max(2, Math.round((gives / Math.max(why.value?.score ?? 1, 1e-9)) * 100))}%`
</script>

<template>
  <aside v-if="shown" class="why" aria-labelledby="why-heading" @keydown.esc="shown = false">
    <div class="head">
      <h2 id="why-heading" tabindex="-1">Why?</h2>
      <Button icon="pi pi-times" text rounded severity="secondary" aria-label="Close" @click="shown = false" />
    </div>
    <div class="asked">
      <div class="field">
        <label for="why-words">Visitors type</label>
        <InputText id="why-words" v-model="words" size="small" />
      </div>
      <div class="field">
        <label for="why-item">and look for</label>
        <AutoComplete
          v-model="picked"
          input-id="why-item"
          :suggestions="offered"
          option-label="title"
          :delay="120"
          :min-length="0"
          dropdown
          force-selection
          size="small"
          fluid
          placeholder="An item, by its title"
          :pt="{ dropdown: { 'aria-label': 'Show items' }, listContainer: { tabindex: 0 } }"
          @complete="offer($event.query)"
        >
          <template #option="{ option }">
            <span class="option">
              {{ option.title }}
              <small class="quiet">{{ labelOf(option.collection) }}</small>
            </span>
          </template>
        </AutoComplete>
      </div>
      <SelectButton
        v-if="live"
        v-model="which"
        :options="sides"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="Which version is asked"
      />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch" />
    <template v-else-if="item && why">
      <p v-if="cut" class="moved">
        <i class="pi pi-info-circle" aria-hidden="true" />
        So many words stand nowhere as they are typed that {{ cut }} was looked for in no other way. Shorter queries are
        looked at word by word.
      </p>
      <template v-if="why.place">
        <p class="verdict hit" role="status">
          <i class="pi pi-check-circle" aria-hidden="true" />
          <span>
            <b>Found at place {{ formatNumber(why.place) }}</b>
            of {{ counted(why.total, 'result') }}, on page {{ why.page }}.
          </span>
        </p>
        <p v-if="moved" class="moved">
          <i class="pi pi-star" aria-hidden="true" />
          {{ moved }}
        </p>
        <p v-if="why.startingList" class="quiet">Too little is typed to search, so everything is shown.</p>
        <div v-for="word in why.words" :key="word.word" class="word">
          <h3>
            {{ word.word }}
            <small class="quiet number">{{ word.gives.toFixed(2) }}</small>
          </h3>
          <p v-if="word.fields.length === 0" class="quiet">It does not hold this word, and needs not.</p>
          <ul>
            <li v-for="field in word.fields" :key="field.field">
              <span>
                <b>{{ fieldLabel(field.field) }}</b>{{ ' ' }}
                <span class="quiet">
                  {{ ways[field.way]
                  }}{{ field.met.length > 0 ? `: ${field.met.join(', ')}` : ', among your keywords' }}
                </span>
              </span>
              <span class="number">{{ field.gives.toFixed(2) }}</span>
              <span class="bar" aria-hidden="true"><i :style="{ width: share(field.gives) }" /></span>
            </li>
          </ul>
        </div>
        <p v-if="!why.startingList" class="sum">
          Together
          <b class="number">{{ why.score.toFixed(2) }}</b>, which sets its place.
        </p>
        <h3 class="second">Should it not be there?</h3>
        <ul class="leavings">
          <li v-for="leaving in why.leavings" :key="JSON.stringify(leaving.rule)">
            <span>
              {{
                leaving.rule.item
                  ? 'This item'
                  : leaving.rule.author
                    ? `Author ${leaving.name}`
                    : `${fieldLabel(leaving.rule.field ?? '')} ${leaving.name}`
              }}
              <small class="quiet">{{ counted(leaving.items, 'item') }} would go</small>
            </span>
            <Button
              label="Leave out"
              size="small"
              severity="secondary"
              outlined
              :disabled="which !== 'draft'"
              :aria-label="`Leave out ${leaving.rule.item ? 'this item' : leaving.name}`"
              @click="leaveOut(leaving.rule)"
            />
          </li>
        </ul>
      </template>
      <template v-else>
        <p class="verdict" role="status">
          <i class="pi pi-minus-circle" aria-hidden="true" />
          <span>
            <b>Not found.</b>
            {{ why.reasons.length === 1 ? 'This is why:' : 'All of this keeps it out:' }}
          </span>
        </p>
        <section v-for="(reason, n) in why.reasons" :key="n" class="reason" :aria-label="said[reason.kind](reason)">
          <p>{{ said[reason.kind](reason) }}</p>
          <ul>
            <li v-for="remedy in reason.remedies" :key="remedy.cure + remedy.field">
              <Button
                :label="cures[remedy.cure](remedy)"
                size="small"
                severity="secondary"
                outlined
                :disabled="which !== 'draft'"
                @click="keep(remedy.after)"
              />
              <small class="quiet">{{ effect(remedy) }}</small>
            </li>
          </ul>
        </section>
      </template>
      <div v-if="trial" class="trial">
        <span v-if="kept" class="quiet">
          <i class="pi pi-check" aria-hidden="true" />
          A trial of this is kept.
        </span>
        <template v-else>
          <Button
            label="Keep as a trial"
            icon="pi pi-check-square"
            size="small"
            severity="secondary"
            outlined
            :loading="busy"
            @click="keepTrial(trial)"
          />
          <small class="quiet">{{ expectation(trial, item.title) }}, on every change from now on</small>
        </template>
        <span v-if="wrong" class="wrong" role="alert">{{ wrong }}</span>
      </div>
    </template>
    <p v-else class="quiet hint">
      Choose an item, found or not. You see which words met which fields and what each gave, or every reason that keeps
      it out.
    </p>
  </aside>
</template>

<style scoped>
/* Over the decisions, beside the stage: what a click changes is seen at once. */
.why {
  position: fixed;
  /* Below the bar with the product's name. */
  inset: 48px auto 0 0;
  z-index: 20;
  width: min(600px, 92vw);
  padding: 14px 20px 24px;
  overflow-y: auto;
  background: var(--card);
  box-shadow: 6px 0 28px rgb(27 42 51 / 22%);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 12px;
}
.asked {
  display: grid;
  gap: 12px;
  justify-items: stretch;
  margin-bottom: 16px;
}
.option {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
}
.verdict {
  display: flex;
  gap: 10px;
  padding: 10px 14px;
  border-radius: 8px;
  background: var(--bad-wash);
  color: #84261d;
  margin-bottom: 12px;
}
.verdict.hit {
  background: #e6f1ea;
  color: #225c3a;
}
.verdict .pi {
  margin-top: 3px;
}
.moved {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-bottom: 12px;
}
.moved .pi {
  color: var(--lamp-deep);
}
.word h3 {
  display: flex;
  justify-content: space-between;
  margin-top: 12px;
  font-family: inherit;
}
.trial {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  margin-top: 16px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
.word li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
  font-size: 14px;
  overflow-wrap: anywhere;
}
.bar {
  grid-column: 1 / -1;
  height: 4px;
  border-radius: 2px;
  background: var(--line);
}
.bar i {
  display: block;
  height: 4px;
  border-radius: 2px;
  background: var(--lamp);
}
.sum {
  margin-top: 12px;
  padding-top: 8px;
  border-top: 2px solid var(--line);
}
.second {
  margin-top: 20px;
}
.leavings li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
  font-size: 14px;
}
.leavings small {
  display: block;
}
.reason {
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
.reason li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  margin-top: 6px;
}
.hint {
  margin-top: 8px;
}
</style>

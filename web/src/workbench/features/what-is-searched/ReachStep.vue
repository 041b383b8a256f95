<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref } from 'vue'
import type { CollectionShape, ReachRule, Searched, SearchSummary } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'
import { api } from '../../ownerApi'
import ReachedItems from './ReachedItems.vue'
import RuleForm from './RuleForm.vue'
import type { DraftEditing } from '../searches/useDraft'

const { draft, site, search, collections, summary } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
type Part = 'only' | 'leaveOut'
const chosen = computed(() => draft.design.value?.reach.collections ?? [])
const searched = computed(() => new Map(chosen.value.map(one => [one.collection, one])))
const all = computed(() => collections.reduce((sum, one) => sum + one.items, 0))
const remarks = computed(() => (summary?.remarks ?? []).filter(remark => remark.step === 'reach'))
/** Collections that the design names and the site no longer has. */
const gone = computed(() => [...searched.value.keys()].filter(key => !collections.some(one => one.key === key)))
const { data: counts } = useQuery({ queryKey: ['reach', () => search], queryFn: () => api.reach(search), staleTime: 0 })
const countOf = (key: string) => counts.value?.collections.find(one => one.collection === key)
/**
 * Counts stand in the order of the design that they were made from; a moment after a rule was added there is none for
 * it yet.
 */
const ruleCount = (key: string, part: Part, rule: number) => {
  const known = countOf(key)?.[part]
  return known?.length === searched.value.get(key)?.[part].length ? known?.[rule] : undefined
}

function change(what: string, changed: (now: Searched[]) => Searched[]) {
  draft.change(what, design => ({ ...design, reach: { collections: changed(design.reach.collections) } }))
}
function put(key: string, on: boolean) {
  change(`reach.${key}`, now => {
    const wanted = on
      ? [...now, { collection: key, only: [], leaveOut: [] }]
      : now.filter(one => one.collection !== key)
    const place = (one: Searched) => collections.findIndex(known => known.key === one.collection)
    return [...wanted].sort((a, b) => place(a) - place(b))
  })
}
function putRules(key: string, part: Part, changed: (now: ReachRule[]) => ReachRule[]) {
  change(`reach.${key}.rules`, now =>
    now.map(one => (one.collection === key ? { ...one, [part]: changed(one[part]) } : one)),
  )
}
const adding = ref<string | null>(null)
function add(key: string, part: Part, rule: ReachRule) {
  putRules(key, part, now => (now.some(one => JSON.stringify(one) === JSON.stringify(rule)) ? now : [...now, rule]))
  adding.value = null
}
const listed = ref<{
  collection: CollectionShape
  which: 'found' | 'not-found' | 'only' | 'leave-out'
  rule: number
  title: string
} | null>(null)

/** What the values and items of the rules are called; a rule knows them by their keys. */
const rules = computed(() =>
  chosen.value.flatMap(one => [...one.only, ...one.leaveOut].map(rule => ({ collection: one.collection, rule }))),
)
const lookedUp = computed(() =>
  [
    ...new Set(
      rules.value
        .filter(one => one.rule.address === null)
        .map(
          ({ collection, rule }) =>
            `${collection} ${rule.item !== null ? `item ${rule.item}` : `values ${rule.field ?? 'author'}`}`,
        ),
    ),
  ].sort(),
)
const { data: names } = useQuery({
  queryKey: ['names of rules', () => site, lookedUp],
  placeholderData: keepPreviousData,
  queryFn: async () => {
    const found = new Map<string, string>()
    await Promise.all(
      lookedUp.value.map(async one => {
        const [collection, what, ...rest] = one.split(' ')
        const of = rest.join(' ')
        if (what === 'item')
          (await api.items(site, collection!, new URLSearchParams({ id: of }))).items.forEach(item =>
            found.set(`${collection} item ${item.id}`, item.title),
          )
        else
          (await api.values(site, collection!, of, '')).forEach(value =>
            found.set(`${collection} ${of} ${value.value}`, value.names.join(' › ')),
          )
      }),
    )
    return found
  },
})
function said(collection: CollectionShape, rule: ReachRule): string {
  const named = (key: string, otherwise: string) => names.value?.get(`${collection.key} ${key}`) ?? otherwise
  if (rule.field !== null)
    return `${collection.fields.find(field => field.key === rule.field)?.label ?? rule.field}: ${named(`${rule.field} ${rule.value}`, rule.value ?? '')}`
  if (rule.author !== null) return `Author: ${named(`author ${rule.author}`, rule.author)}`
  return rule.item !== null ? `Item: ${named(`item ${rule.item}`, rule.item)}` : `Address: ${rule.address}`
}
const parts: { part: Part; which: 'only' | 'leave-out'; word: string }[] = [
  { part: 'only', which: 'only', word: 'Only' },
  { part: 'leaveOut', which: 'leave-out', word: 'Leave out' },
]
</script>

<template>
  <h2>What is searched</h2>
  <p class="lead">
    Visitors find items of these collections. Items that arrive later follow the same rules by themselves.
  </p>
  <p class="sum">
    <b class="number">{{ counts ? formatNumber(counts.inReach) : '…' }}</b>
    of {{ counted(all, 'item') }} can be found
  </p>
  <p v-for="remark in remarks" :key="remark.text" class="remark" role="status">
    <i class="pi pi-info-circle" aria-hidden="true" />
    {{ remark.text }}
  </p>
  <ul class="collections">
    <li v-for="one in collections" :key="one.key" class="slip">
      <div class="head">
        <label :for="`reach-${one.key}`">
          <b>{{ one.label }}</b>
        </label>
        <template v-if="searched.has(one.key)">
          <button
            type="button"
            class="count"
            :title="`List the items of ${one.label} that can be found`"
            @click="listed = { collection: one, which: 'found', rule: 0, title: `${one.label} that can be found` }"
          >
            {{ formatNumber(countOf(one.key)?.inReach ?? one.items) }}
          </button>
          <small class="quiet">of {{ counted(one.items, 'item') }}</small>
        </template>
        <small v-else class="quiet">{{ counted(one.items, 'item') }}, not searched</small>
        <span class="grow" />
        <ToggleSwitch
          :input-id="`reach-${one.key}`"
          :model-value="searched.has(one.key)"
          :aria-label="`Search ${one.label}`"
          @update:model-value="put(one.key, $event)"
        />
      </div>
      <template v-if="searched.has(one.key)">
        <ul
          v-if="
            searched.get(one.key)!.only.length + searched.get(one.key)!.leaveOut.length > 0 || countOf(one.key)?.keptOut
          "
          class="rules"
        >
          <template v-for="{ part, which, word } in parts" :key="part">
            <li v-for="(rule, n) in searched.get(one.key)![part]" :key="JSON.stringify(rule)" :class="part">
              <span class="word">{{ word }}</span>
              <span class="what">{{ said(one, rule) }}</span>
              <button
                type="button"
                class="count"
                :title="`List the items that this rule takes`"
                @click="listed = { collection: one, which, rule: n, title: `${word} ${said(one, rule)}` }"
              >
                {{ ruleCount(one.key, part, n) ?? '…' }}
              </button>
              <Button
                icon="pi pi-times"
                text
                rounded
                size="small"
                severity="secondary"
                :aria-label="`Take away the rule ${word} ${said(one, rule)}`"
                @click="putRules(one.key, part, now => now.filter((_, other) => other !== n))"
              />
            </li>
          </template>
          <li v-if="countOf(one.key)?.keptOut" class="quiet">
            {{ counted(countOf(one.key)!.keptOut, 'item') }} kept out of every search
          </li>
        </ul>
        <RuleForm
          v-if="adding === one.key"
          :site="site"
          :collection="one"
          @add="(part, rule) => add(one.key, part, rule)"
          @close="adding = null"
        />
        <div v-else class="ways">
          <Button
            label="Add a rule"
            icon="pi pi-plus"
            text
            size="small"
            :aria-label="`Add a rule for ${one.label}`"
            @click="adding = one.key"
          />
          <button
            v-if="countOf(one.key) && countOf(one.key)!.inReach < one.items"
            type="button"
            class="count plain"
            @click="
              listed = { collection: one, which: 'not-found', rule: 0, title: `${one.label} that cannot be found` }
            "
          >
            {{ counted(one.items - countOf(one.key)!.inReach, 'item') }} cannot be found
          </button>
        </div>
      </template>
    </li>
    <li v-for="key in gone" :key="key" class="slip">
      <div class="head">
        <label :for="`reach-${key}`">
          <b>{{ key }}</b>
        </label>
        <small class="quiet">gone from the site</small>
        <span class="grow" />
        <ToggleSwitch
          :input-id="`reach-${key}`"
          :model-value="true"
          :aria-label="`Search ${key}`"
          @update:model-value="put(key, $event)"
        />
      </div>
    </li>
  </ul>
  <p v-if="chosen.some(one => one.only.length + one.leaveOut.length > 0)" class="quiet how">
    Leaving out wins over letting in. “Only” rules on the same thing are alternatives; on different things all must
    hold.
  </p>
  <ReachedItems
    v-if="listed"
    :search="search"
    :site="site"
    :collection="listed.collection.key"
    :which="listed.which"
    :rule="listed.rule"
    :title="listed.title"
    @close="listed = null"
  />
</template>

<style scoped>
.sum {
  margin: 16px 0 12px;
}
.sum b {
  font-size: 22px;
  font-weight: 650;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
}
.collections {
  margin-top: 12px;
  gap: 8px;
}
.collections > li {
  padding: 10px 16px;
}
.head {
  display: flex;
  align-items: baseline;
  gap: 6px;
  flex-wrap: wrap;
}
.head label {
  cursor: pointer;
  margin-inline-end: 4px;
}
.head small {
  font-size: 13px;
}
.head :deep(.p-toggleswitch) {
  align-self: center;
}
.count {
  min-width: 30px;
  padding: 1px 8px;
  border: 1px solid var(--line);
  border-radius: 99px;
  background: var(--paper);
  color: var(--sea);
  font: inherit;
  font-size: 13px;
  font-weight: 650;
  font-variant-numeric: tabular-nums;
  cursor: pointer;
}
.count:hover {
  background: var(--sea-wash);
  border-color: var(--sea);
}
.count.plain {
  border: 0;
  background: none;
  font-weight: 600;
}
.count.plain:hover {
  text-decoration: underline;
}
.rules {
  margin-top: 8px;
  border-top: 1px solid var(--line);
}
.rules li {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 36px;
  border-bottom: 1px solid var(--line);
  font-size: 14px;
}
.word {
  font-size: 12.5px;
  font-weight: 650;
  color: #225c3a;
  white-space: nowrap;
}
.leaveOut .word {
  color: var(--bad);
}
.what {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}
.ways {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin: 4px 0 -4px -10px;
}
.how {
  margin-top: 12px;
  font-size: 13px;
}
</style>

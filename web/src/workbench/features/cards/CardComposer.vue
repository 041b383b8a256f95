<script setup lang="ts">
import { withAppearance } from '../searches/designParts'
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, inject, nextTick, onBeforeUnmount, provide, ref, watch, watchEffect } from 'vue'
import type { Card, PartGroup } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import LoadFailure from '../../kit/LoadFailure.vue'
import { api } from '../../ownerApi'
import type { DraftEditing } from '../searches/useDraft'
import { STAGE } from '../stage/stageAccess'
import type { PickedPart } from '../stage/usePartPicking'
import AddPart from './AddPart.vue'
import CardOutline from './CardOutline.vue'
import { COLLECTION_SIGNS } from './collectionSigns'
import { frameLine } from './frameNames'
import FrameSettings from './FrameSettings.vue'
import GroupSettings from './GroupSettings.vue'
import { movedBeside, rowsOf, underFreeKey, withPart, withPut } from './outline'
import PartSettings from './PartSettings.vue'

/** What stands on a result, in each place where results are drawn. */
const { draft, search } = defineProps<{
  draft: DraftEditing
  search: string
}>()
const {
  data: choices,
  error,
  refetch,
} = useQuery({ queryKey: ['reach', () => search, 'cards'], queryFn: () => api.cardChoices(search), staleTime: 0 })

const PLACES: readonly { value: Card['place']; label: string }[] = [
  { value: 'list', label: 'List' },
  { value: 'grid', label: 'Side by side' },
  { value: 'wall', label: 'Wall' },
  { value: 'live', label: 'Live results' },
]
/** A list takes null for nothing chosen; no collection can have this name. */
const ALL = '*'
const place = ref<Card['place']>('list')
/** At first the card that is met first: of the first collection that has one of its own. */
const whose = ref(
  draft.design.value!.reach.collections.find(one =>
    draft.design.value!.appearance.cards.some(card => card.place === 'list' && card.collection === one.collection),
  )?.collection ?? ALL,
)
const collection = computed(() => (whose.value === ALL ? null : whose.value))
const owners = computed(() => [
  { value: ALL, label: 'All that have none of their own' },
  ...(choices.value?.collections ?? []).map(one => ({ value: one.collection, label: one.label })),
])
/** One collection alone needs no card of its own, but may have got one when there were others. */
const hasOwners = computed(
  () =>
    (choices.value?.collections.length ?? 0) > 1 ||
    draft.design.value!.appearance.cards.some(card => card.collection !== null),
)
/** Those whose fields are offered: of one collection, or of all. */
const materials = computed(() =>
  (choices.value?.collections ?? []).filter(one => collection.value === null || one.collection === collection.value),
)
const isFor = (card: { place: Card['place']; collection: string | null }) =>
  card.place === place.value && card.collection === collection.value
const drawn = computed(() => choices.value?.drawn.find(isFor))
const own = computed(() => draft.design.value!.appearance.cards.find(isFor))
const body = computed(() => own.value?.body ?? drawn.value?.body)
const frame = computed(() => own.value?.frame ?? drawn.value?.frame)
const chosen = ref<string | null>(null)
watch([place, whose], () => (chosen.value = null))
// What is drawn is pointed at as well: on the stage, and in the outline.
const stage = inject(STAGE)
watchEffect(() =>
  stage?.value?.parts.handle({
    picked: part => void choose(part),
    moved: (part, drop) =>
      void choose(part).then(() => put(movedBeside(body.value!, part.part, drop.part, drop.after))),
  }),
)
onBeforeUnmount(() => {
  stage?.value?.parts.handle(null)
  stage?.value?.parts.choose(null)
  stage?.value?.compose(null)
})
watchEffect(() => stage?.value?.parts.choose(chosen.value))
watchEffect(() => stage?.value?.compose({ collection: collection.value, place: place.value }))
/** Goes to a part that was pointed at, in the card that it is drawn by. */
async function choose({ part, collection: of, place: drawnIn }: PickedPart) {
  if (drawnIn) place.value = drawnIn
  const isOwn = draft.design.value!.appearance.cards.some(card => card.place === place.value && card.collection === of)
  // A card that is followed is changed here, for whom it is composed.
  if (isOwn || !drawnIn) whose.value = isOwn ? of : ALL
  await nextTick()
  chosen.value = part
  await nextTick()
  document.querySelector('.outline [aria-expanded="true"]')?.scrollIntoView({ block: 'nearest' })
}

const part = computed(() => `cards.${place.value}.${whose.value}`)
const put = (changed: PartGroup) => keep({ body: changed }, chosen.value ?? '')
function keep(changed: Partial<Card>, what: string) {
  const card: Card = {
    place: place.value,
    collection: collection.value,
    body: body.value!,
    frame: frame.value!,
    ...changed,
  }
  draft.change(`${part.value}.${what}`, design => {
    const { cards } = design.appearance
    return withAppearance(design, {
      cards: own.value ? cards.map(one => (isFor(one) ? card : one)) : [...cards, card],
    })
  })
}
provide(COLLECTION_SIGNS, {
  signs: computed(() => choices.value?.signs ?? []),
  of: whoseSign => draft.design.value!.reach.collections.find(one => one.collection === whoseSign)?.sign ?? 'page',
  choose: (whoseSign, sign) =>
    draft.change(`reach.signs.${whoseSign}`, design => ({
      ...design,
      reach: {
        ...design.reach,
        collections: design.reach.collections.map(one => (one.collection === whoseSign ? { ...one, sign } : one)),
      },
    })),
})
const follow = () =>
  draft.change(`${part.value}.follow`, design =>
    withAppearance(design, { cards: design.appearance.cards.filter(one => !isFor(one)) }),
  )
function add(added: PartGroup['parts'][number]) {
  const now = body.value!
  const named = underFreeKey(now, added)
  // Into the group that is chosen; else behind the last part of the last group, where texts mostly stand.
  const groups = [now, ...rowsOf(now).flatMap(row => (row.part.part === 'group' ? [row.part] : []))]
  const into = groups.find(one => one.key === chosen.value) ?? groups.at(-1)!
  put(withPut(now, named, { group: into.key, at: into.parts.length }))
  chosen.value = named.key
}
const follows = computed(() => {
  if (own.value) return 'This card is yours.'
  if (collection.value !== null) return 'It follows the card of all collections until you change it.'
  if (place.value === 'list') return 'The usual card, until you change it.'
  return 'It follows the card of the list, once that is yours, until you change it here.'
})
</script>

<template>
  <LoadFailure v-if="error" :error="error" @again="refetch()" />
  <template v-else-if="choices && body && frame">
    <div class="which">
      <ButtonChoice v-model="place" label="Where the card is drawn" :options="PLACES" />
      <ChoiceField v-if="hasOwners" v-model="whose" label="For results of" :options="owners" />
    </div>
    <p class="quiet said">
      {{ follows }}
      <Button
        v-if="own"
        :label="place === 'list' && collection === null ? 'Take the usual card again' : 'Follow again'"
        size="small"
        text
        severity="secondary"
        @click="follow"
      />
    </p>
    <CardOutline v-model:chosen="chosen" :model-value="body" :materials="materials" @update:model-value="put">
      <template #default="{ part: one }">
        <PartSettings
          :model-value="one"
          :materials="materials"
          @update:model-value="put(withPart(body, one.key, $event))"
        />
      </template>
    </CardOutline>
    <FoldingSection title="The whole card" :said="frameLine(frame)">
      <GroupSettings is-body :model-value="body" @update:model-value="put" />
      <FrameSettings
        v-if="place !== 'live'"
        :model-value="frame"
        @update:model-value="keep({ frame: $event }, 'frame')"
      />
    </FoldingSection>
    <AddPart :materials="materials" :parts="choices.parts" @add="add" @begin="put" />
  </template>
</template>

<style scoped>
.which {
  display: grid;
  gap: 10px;
  margin-top: 12px;
}
.said {
  min-height: 32px;
  margin: 6px 0 0;
}
</style>

<script setup lang="ts">
import { withPlaces } from '../searches/designParts'
import { computed, toRef } from 'vue'
import type { CollectionShape, SearchSummary } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import { settingsOf } from '../../kit/settingsOf'
import SwitchLine from '../../kit/SwitchLine.vue'
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { OPENS, WHERE_LIVE } from '../places/placeNames'
import TextInPlace from '../places/TextInPlace.vue'
import PlaceStep from '../places/PlaceStep.vue'
import type { DraftEditing } from '../searches/useDraft'

/** What appears while somebody types. */
const { draft, search } = defineProps<{
  draft: DraftEditing
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const live = computed({
  get: () => draft.design.value!.places.live,
  set: changed => draft.change('live', design => withPlaces(design, { live: changed })),
})
const settings = settingsOf(live)
const asking = settingsOf(toRef(settings, 'asking'))
const form = settingsOf(toRef(settings, 'form'))
const above = settingsOf(toRef(settings, 'above'))
const GROUPED = [
  { value: true, label: 'By collection' },
  { value: false, label: 'In one list' },
]
const WHEN = [
  { value: false, label: 'While typing' },
  { value: true, label: 'On Enter' },
]
const isShown = computed(() => live.value.where !== 'nowhere')
const aboveSaid = computed(() => {
  const { completions, didYouMean, recent } = live.value.above
  const said = [completions && 'completions', didYouMean && 'other spellings', recent && 'recent searches']
  return said.filter(Boolean).join(', ') || 'nothing'
})
const sizeSaid = computed(() => {
  const { width, height, gap } = live.value.form
  return [
    width ? `${width} px wide` : 'as wide as the box',
    height ? `${height} px high` : '',
    gap ? `${gap} px apart` : '',
  ]
    .filter(Boolean)
    .join(', ')
})
</script>

<template>
  <PlaceStep
    title="Live results"
    lead="What appears while somebody types."
    step="live"
    :search="search"
    :summary="summary"
  >
    <ButtonChoice v-model="settings.where" label="Where they appear" :options="WHERE_LIVE" />
    <SwitchLine
      v-model="settings.inList"
      label="The list on a page follows what is typed"
      hint="Whatever appears at the box. One step back leads to what was shown before."
    />
    <ChoiceField v-model="asking.onEnter" label="They answer" buttons :options="WHEN" />
    <template v-if="!live.asking.onEnter">
      <LimitedNumber
        v-model="asking.from"
        label="From how many letters"
        :empty="`${draft.design.value!.words.matching.fewestLetters}, as words`"
        path="places.live.asking.from"
      />
      <LimitedNumber v-model="asking.pause" label="After a pause of" unit="ms" path="places.live.asking.pause" />
    </template>
    <template v-if="isShown">
      <ChoiceField v-model="settings.grouped" label="Put together" buttons :options="GROUPED" />
      <LimitedNumber v-model="settings.most" label="Results at most" path="places.live.most" />
      <LimitedNumber v-model="settings.first" label="Of these at first" empty="all of them" path="places.live.first" />
      <TextInPlace
        v-if="live.first !== null"
        :draft="draft"
        :search="search"
        label="The line that shows the rest"
        text="moreLive"
      />
      <LimitedNumber v-model="form.columns" label="Columns, where there is room" path="places.live.form.columns" />
      <ChoiceField v-model="settings.opens" label="A result opens" buttons :options="OPENS" />
      <FoldingSection title="How large the list is" :said="sizeSaid">
        <LimitedNumber v-model="form.width" label="Width" unit="px" empty="as the box" path="places.live.form.width" />
        <LimitedNumber
          v-model="form.height"
          label="Height before it scrolls"
          unit="px"
          empty="as fits"
          path="places.live.form.height"
        />
        <LimitedNumber v-model="form.gap" label="Between results" unit="px" path="places.live.form.gap" />
        <p class="quiet">A list is at least 320 px wide where the screen is, and never wider than the screen.</p>
      </FoldingSection>
      <FoldingSection title="Above them" :said="aboveSaid">
        <SwitchLine v-model="above.completions" label="The word at hand, completed" />
        <SwitchLine v-model="above.didYouMean" label="Another spelling where nothing is found" />
        <SwitchLine
          v-model="above.recent"
          label="What this visitor looked for before"
          hint="It stays in their browser, and they can have it forgotten."
        />
      </FoldingSection>
      <FoldingSection title="Below them" :said="live.above.all ? 'the way to all results' : 'nothing'">
        <SwitchLine v-model="above.all" label="The way to all results" />
        <TextInPlace v-if="live.above.all" :draft="draft" :search="search" label="It reads" text="seeAll" />
      </FoldingSection>
      <FoldingSection title="When nothing is found" said="the query, a hint">
        <TextInPlace :draft="draft" :search="search" label="What is said" text="nothing" />
        <TextInPlace :draft="draft" :search="search" label="The hint below" text="nothingHint" />
      </FoldingSection>
    </template>
  </PlaceStep>
</template>

<script setup lang="ts">
import { withPlaces } from '../searches/designParts'
import { computed, toRef } from 'vue'
import type { CollectionShape, SearchSummary } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import { settingsOf } from '../../kit/settingsOf'
import SwitchLine from '../../kit/SwitchLine.vue'
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { aroundLine, PAGINGS, SHOWN_AROUND } from '../places/placeNames'
import TextInPlace from '../places/TextInPlace.vue'
import PlaceStep from '../places/PlaceStep.vue'
import OptionalSign from '../places/OptionalSign.vue'
import LayoutSettings from './LayoutSettings.vue'
import PopularSettings from './PopularSettings.vue'
import StartSettings from './StartSettings.vue'
import type { DraftEditing } from '../searches/useDraft'

/** The list of all results: how it stands, what is around it, how one gets further. */
const { draft, search } = defineProps<{
  draft: DraftEditing
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const page = computed({
  get: () => draft.design.value!.places.page,
  set: changed => draft.change('page', design => withPlaces(design, { page: changed })),
})
const settings = settingsOf(page)
const told = settingsOf(toRef(settings, 'told'))
const shows = settingsOf(toRef(settings, 'shows'))
const nothing = settingsOf(toRef(shows, 'nothing'))
</script>

<template>
  <PlaceStep
    v-slot="{ choices }"
    title="Results page"
    lead="The list of all results, on a page of your site or on the hosted one."
    step="page"
    :search="search"
    :summary="summary"
  >
    <LayoutSettings v-model="settings.layout" :choices="choices" />
    <ChoiceField v-model="settings.paging" label="One gets further" :options="PAGINGS" />
    <LimitedNumber v-model="settings.perPage" label="Results at a time" path="places.page.perPage" />
    <LimitedNumber v-model="settings.most" label="To look through at most" empty="10,000" path="places.page.most" />
    <StartSettings v-model="settings.start" :search="search" :categories="choices.categories" />
    <FoldingSection id="around" title="Around the results" :said="aroundLine(page.shows)">
      <SwitchLine v-for="{ key, label } in SHOWN_AROUND" :key="key" v-model="shows[key]" :label="label" />
      <PopularSettings v-model="shows.popular" :choices="choices" />
    </FoldingSection>
    <FoldingSection id="nothing-found" title="When nothing is found" said="a hint, ways on">
      <TextInPlace :draft="draft" :search="search" label="What is said" text="nothing" />
      <TextInPlace :draft="draft" :search="search" label="The hint below" text="nothingHint" />
      <OptionalSign v-model="nothing.sign" label="Sign above it" :signs="choices.signs" />
      <SwitchLine
        v-model="nothing.withoutOne"
        label="One filter less"
        hint="With what is found then, for each that is set."
      />
      <SwitchLine
        v-model="nothing.related"
        label="What some of the words find"
        hint="Up to four entries, where all words together find nothing."
      />
      <SwitchLine v-model="nothing.everything" label="The way to everything" />
      <TextInPlace
        v-if="page.shows.nothing.everything"
        :draft="draft"
        :search="search"
        label="It reads"
        text="everything"
      />
    </FoldingSection>
    <SwitchLine
      v-model="told.inAddress"
      label="The address says what is shown"
      hint="So it can be kept and passed on. Back leads to the same results either way."
    />
    <SwitchLine
      v-if="page.address === null"
      v-model="told.listed"
      label="Search engines may list the hosted page"
      hint="Never what somebody asked for there."
    />
  </PlaceStep>
</template>

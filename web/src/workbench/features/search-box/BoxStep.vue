<script setup lang="ts">
import { withPlaces } from '../searches/designParts'
import { computed, ref, toRef } from 'vue'
import type { CollectionShape, PlaceChoices, SearchSummary } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import { settingsOf } from '../../kit/settingsOf'
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import PlaceStep from '../places/PlaceStep.vue'
import type { DraftEditing } from '../searches/useDraft'
import BoxArrangementSettings from './BoxArrangementSettings.vue'
import BoxChooser from './BoxChooser.vue'
import BoxColoursSettings from './BoxColoursSettings.vue'
import BoxLeads from './BoxLeads.vue'
import BoxSizesSettings from './BoxSizesSettings.vue'
import BoxTypeSettings from './BoxTypeSettings.vue'
import ReadyBoxes from './ReadyBoxes.vue'

/** The box that visitors type into: what it is, what it wears, where it leads. */
const { draft, search } = defineProps<{
  draft: DraftEditing
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const box = computed({
  get: () => draft.design.value!.places.box,
  set: changed => draft.change('box', design => withPlaces(design, { box: changed })),
})
const settings = settingsOf(box)
const dress = settingsOf(toRef(settings, 'dress'))
const WIDTHS = [
  { value: 'wide', label: 'On wide pages' },
  { value: 'narrow', label: 'On narrow ones' },
] as const
const width = ref<'wide' | 'narrow'>('wide')
const arrangement = computed({
  get: () => (width.value === 'narrow' ? (box.value.narrow ?? box.value.wide) : box.value.wide),
  set: changed => (settings[width.value] = changed),
})
const own = (part: object) => Object.values(part).filter(value => value !== null).length
const saidOf = (count: number) => (count === 0 ? 'as the look has them' : `${count} of its own`)
const coloursSaid = computed(() => {
  const { rest, pointed, focused } = box.value.dress
  return saidOf(own(rest) + own(pointed) + own(focused))
})
const sizesSaid = computed(() => saidOf(own({ ...box.value.dress.sizes, text: null })))
const typeSaid = computed(() => saidOf(own({ ...box.value.dress.type, text: box.value.dress.sizes.text })))
/** What can be chosen beside the words, in the line of its section. */
const chosenIn = (choosers: PlaceChoices['choosers']) =>
  choosers.find(one => one.field === box.value.chooser?.field)?.label ?? 'nothing'
</script>

<template>
  <PlaceStep
    v-slot="{ choices }"
    title="Search box"
    lead="What visitors type into, and where it leads."
    step="box"
    :search="search"
    :summary="summary"
  >
    <ReadyBoxes v-model="box" :ready="choices.boxes" />
    <ButtonChoice v-model="width" label="For which width" :options="WIDTHS" />
    <LimitedNumber
      v-if="width === 'narrow'"
      v-model="settings.narrowUpTo"
      label="Narrow up to"
      unit="px"
      path="places.box.narrowUpTo"
    />
    <BoxArrangementSettings
      v-model="arrangement"
      :draft="draft"
      :search="search"
      :choices="choices"
      :follows="width === 'narrow' && box.narrow === null"
      :may-follow="width === 'narrow'"
      @follow="settings.narrow = null"
    />
    <section id="leads">
      <BoxLeads v-model="settings.leads" :draft="draft" :search="search" />
    </section>
    <FoldingSection id="chooser" title="Chosen beside the words" :said="chosenIn(choices.choosers)">
      <BoxChooser v-model="settings.chooser" :choosers="choices.choosers" />
    </FoldingSection>
    <FoldingSection title="Sizes" :said="sizesSaid">
      <BoxSizesSettings v-model="dress.sizes" />
    </FoldingSection>
    <FoldingSection title="Words in it" :said="typeSaid">
      <BoxTypeSettings v-model="settings.dress" :choices="choices" />
    </FoldingSection>
    <FoldingSection title="Colours" :said="coloursSaid">
      <BoxColoursSettings v-model="settings.dress" :choices="choices" />
    </FoldingSection>
  </PlaceStep>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import { toRef } from 'vue'
import type { BoxArrangement, PlaceChoices } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import { settingsOf } from '../../kit/settingsOf'
import SwitchLine from '../../kit/SwitchLine.vue'
import SignField from '../cards/SignField.vue'
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { CROSSES, OPENINGS, SHOWN_ON_BUTTON, SIDES_OF_BUTTON } from '../places/placeNames'
import TextInPlace from '../places/TextInPlace.vue'
import type { DraftEditing } from '../searches/useDraft'

/** What stands in the box and how it opens, in one range of widths. */
const { follows } = defineProps<{
  draft: DraftEditing
  search: string
  choices: PlaceChoices
  /** Whether this range is as the wide one, until something is set here. */
  follows: boolean
  mayFollow: boolean
}>()
const emit = defineEmits<{ follow: [] }>()
const arrangement = defineModel<BoxArrangement>({ required: true })
const settings = settingsOf(arrangement)
const button = settingsOf(toRef(settings, 'button'))
</script>

<template>
  <p v-if="follows" class="quiet">As on wide pages, until something is set here.</p>
  <p v-else-if="mayFollow" class="quiet">
    Set for narrow pages.
    <Button label="As on wide pages" size="small" text @click="emit('follow')" />
  </p>
  <ChoiceField v-model="settings.opening" label="How it opens" :options="OPENINGS" />
  <ChoiceField v-model="button.shows" label="On the button" :options="SHOWN_ON_BUTTON" />
  <template v-if="arrangement.button.shows === 'word' || arrangement.button.shows === 'both'">
    <TextInPlace :draft="draft" :search="search" label="The word" text="search" />
  </template>
  <ChoiceField
    v-if="arrangement.button.shows !== 'no-button'"
    v-model="button.side"
    label="It stands"
    buttons
    :options="SIDES_OF_BUTTON"
  />
  <template v-if="arrangement.button.shows !== 'word'">
    <SignField v-model="button.sign" label="Sign" :signs="choices.signs" />
    <LimitedNumber v-model="button.size" label="Size of the sign" unit="px" path="places.box.wide.button.size" />
  </template>
  <ChoiceField v-model="settings.clear" label="Cross that empties it" :options="CROSSES" />
  <SwitchLine v-model="settings.heading" label="A heading above it" />
  <TextInPlace v-if="arrangement.heading" :draft="draft" :search="search" label="Heading" text="boxHeading" />
  <SwitchLine v-model="settings.label" label="Its label is seen" hint="It is heard in any case." />
  <SwitchLine v-model="settings.placeholder" label="Words stand in it while it is empty" />
  <TextInPlace
    v-if="arrangement.placeholder"
    :draft="draft"
    :search="search"
    label="Those words"
    text="boxPlaceholder"
  />
</template>

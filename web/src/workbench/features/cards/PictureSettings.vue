<script setup lang="ts">
import type { CardPart } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { SHAPES, SIZES } from './partNames'

type Picture = Extract<CardPart, { part: 'picture' }>
/** How a picture is cut, how large it is, and what stands in for it. */
const picture = defineModel<Picture>({ required: true })
const settings = settingsOf(picture)
const shapes = (Object.keys(SHAPES) as Picture['shape'][]).map(value => ({ value, label: SHAPES[value] }))
const sizes = (Object.keys(SIZES) as Picture['size'][]).map(value => ({ value, label: SIZES[value] }))
const STAND_INS: readonly { value: Picture['standIn']; label: string }[] = [
  { value: 'none', label: 'Nothing' },
  { value: 'letter', label: 'First letter' },
]
</script>

<template>
  <ChoiceField v-model="settings.shape" label="Shape" :options="shapes" />
  <ChoiceField v-model="settings.size" label="Width" :options="sizes" />
  <SwitchField v-if="picture.shape !== 'natural'" v-model="settings.whole" label="Never cut, with ground around it" />
  <ChoiceField v-model="settings.standIn" label="Where there is none" buttons :options="STAND_INS" />
</template>

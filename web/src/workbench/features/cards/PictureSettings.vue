<script setup lang="ts">
import { inject } from 'vue'
import type { CardMaterial, CardPart } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import SwitchField from '../../kit/SwitchField.vue'
import { settingsOf } from '../../kit/settingsOf'
import { COLLECTION_SIGNS } from './collectionSigns'
import LookChoice from './LookChoice.vue'
import { SHAPES, SIZES } from './partNames'
import SignField from './SignField.vue'

type Picture = Extract<CardPart, { part: 'picture' }>
/** How a picture is cut, how large it is, and what stands in for it. */
const { materials } = defineProps<{ materials: readonly CardMaterial[] }>()
const picture = defineModel<Picture>({ required: true })
const settings = settingsOf(picture)
const shapes = (Object.keys(SHAPES) as Picture['shape'][]).map(value => ({ value, label: SHAPES[value] }))
const sizes = (Object.keys(SIZES) as Picture['size'][]).map(value => ({ value, label: SIZES[value] }))
const STAND_INS: readonly { value: Picture['standIn']; label: string }[] = [
  { value: 'none', label: 'Nothing' },
  { value: 'letter', label: 'Letter' },
  { value: 'sign', label: 'Sign' },
]
const CORNERS: readonly { value: NonNullable<Picture['corners']>; label: string }[] = [
  { value: 'none', label: 'Sharp' },
  { value: 'small', label: 'A little round' },
  { value: 'usual', label: 'Round' },
  { value: 'large', label: 'Very round' },
]
const signs = inject(COLLECTION_SIGNS, null)
</script>

<template>
  <ChoiceField v-model="settings.shape" label="Shape" :options="shapes" />
  <ChoiceField v-model="settings.size" label="Width" :options="sizes" />
  <SwitchField v-if="picture.shape !== 'natural'" v-model="settings.whole" label="Never cut, with ground around it" />
  <LookChoice v-if="picture.shape !== 'round'" v-model="settings.corners" label="Corners" :options="CORNERS" />
  <ChoiceField v-model="settings.standIn" label="Where there is none" buttons :options="STAND_INS" />
  <template v-if="signs && picture.standIn === 'sign'">
    <SignField
      v-for="{ collection, label } in materials"
      :key="collection"
      :label="`For ${label}`"
      :signs="signs.signs.value"
      :model-value="signs.of(collection)"
      @update:model-value="signs.choose(collection, $event)"
    />
  </template>
</template>

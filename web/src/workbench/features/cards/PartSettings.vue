<script setup lang="ts">
import { computed } from 'vue'
import type { CardMaterial, CardPart } from '../../../shared/contract'
import ButtonSettings from './ButtonSettings.vue'
import GroupSettings from './GroupSettings.vue'
import LetteringSettings from './LetteringSettings.vue'
import LinesSettings from './LinesSettings.vue'
import PictureSettings from './PictureSettings.vue'
import ValueSettings from './ValueSettings.vue'

/** The settings of one part of a card: those that its kind has, and how its text is set. */
const { materials } = defineProps<{ materials: readonly CardMaterial[] }>()
const part = defineModel<CardPart>({ required: true })
const lettered = computed({
  get: () => ('lettering' in part.value ? part.value.lettering : null),
  set: lettering => {
    if (lettering && 'lettering' in part.value) part.value = { ...part.value, lettering }
  },
})
</script>

<template>
  <div class="settings">
    <GroupSettings v-if="part.part === 'group'" v-model="part" />
    <PictureSettings v-else-if="part.part === 'picture'" v-model="part" :materials="materials" />
    <LinesSettings v-else-if="part.part === 'title' || part.part === 'excerpt'" v-model="part" />
    <ValueSettings v-else-if="part.part === 'value'" v-model="part" :materials="materials" />
    <ButtonSettings v-else-if="part.part === 'button'" v-model="part" :materials="materials" />
    <LetteringSettings v-if="lettered" v-model="lettered" />
  </div>
</template>

<style scoped>
.settings {
  display: grid;
  gap: 10px;
  padding: 6px 6px 10px 28px;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Look, LookChoices } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import NumberField from '../../kit/NumberField.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import OwnSetting from './OwnSetting.vue'
import { BOX_FORMS, CARD_FORMS, DENSITIES, SHADOWS } from './lookNames'

/** The form of a look: how things are set apart, how round, how close, how high. */
const { choices } = defineProps<{ choices: LookChoices }>()
const own = defineModel<Look['form']>({ required: true })
const worn = computed(() => choices.worn.form)
const put = (changed: Partial<Look['form']>) => (own.value = { ...own.value, ...changed })
</script>

<template>
  <OwnSetting :is-own="own.cards !== null" name="Cards" @follow="put({ cards: null })">
    <ChoiceField
      label="Cards"
      :options="CARD_FORMS"
      :model-value="worn.cards"
      @update:model-value="put({ cards: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.box !== null" name="Search box" @follow="put({ box: null })">
    <ChoiceField
      label="Search box"
      :options="BOX_FORMS"
      :model-value="worn.box"
      @update:model-value="put({ box: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.corners !== null" name="Corners" @follow="put({ corners: null })">
    <NumberField
      label="Corners"
      unit="px"
      :min="0"
      :max="24"
      :model-value="worn.corners"
      @update:model-value="put({ corners: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.density !== null" name="Room between things" @follow="put({ density: null })">
    <ChoiceField
      label="Room between things"
      :options="DENSITIES"
      :model-value="worn.density"
      @update:model-value="put({ density: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.shadow !== null" name="Shadow of cards" @follow="put({ shadow: null })">
    <ChoiceField
      label="Shadow of cards"
      :options="SHADOWS"
      :model-value="worn.shadow"
      @update:model-value="put({ shadow: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.motion !== null" name="Motion" @follow="put({ motion: null })">
    <SwitchLine
      label="Things move a little as one points at them"
      :model-value="worn.motion"
      @update:model-value="put({ motion: $event })"
    />
  </OwnSetting>
</template>

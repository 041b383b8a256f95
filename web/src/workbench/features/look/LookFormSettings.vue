<script setup lang="ts">
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { computed } from 'vue'
import type { Look, LookChoices } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import OwnSetting from './OwnSetting.vue'
import { BOX_FORMS, CARD_FORMS, DENSITIES, SHADOWS } from './lookNames'

/** The form of a look: how things are set apart, how round, how close, how high. */
const { choices } = defineProps<{ choices: LookChoices }>()
const own = defineModel<Look['form']>({ required: true })
const worn = computed(() => choices.worn.form)
const put = (changed: Partial<Look['form']>) => (own.value = { ...own.value, ...changed })
type Choices = readonly { value: string; label: string }[]
const CHOICES: readonly { key: 'cards' | 'box' | 'density' | 'shadow'; label: string; options: Choices }[] = [
  { key: 'cards', label: 'Cards', options: CARD_FORMS },
  { key: 'box', label: 'Search box', options: BOX_FORMS },
  { key: 'density', label: 'Room between things', options: DENSITIES },
  { key: 'shadow', label: 'Shadow of cards', options: SHADOWS },
]
</script>

<template>
  <OwnSetting
    v-for="{ key, label, options } in CHOICES"
    :key="key"
    :is-own="own[key] !== null"
    :name="label"
    @follow="put({ [key]: null })"
  >
    <ChoiceField
      :label="label"
      :options="options"
      :model-value="worn[key] as string"
      @update:model-value="put({ [key]: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.corners !== null" name="Corners" @follow="put({ corners: null })">
    <LimitedNumber
      label="Corners"
      path="appearance.look.form.corners"
      unit="px"
      :model-value="worn.corners"
      @update:model-value="put({ corners: $event })"
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

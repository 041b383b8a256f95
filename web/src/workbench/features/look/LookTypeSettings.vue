<script setup lang="ts">
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { computed } from 'vue'
import type { Look, LookChoices } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import FontField from './FontField.vue'
import OwnSetting from './OwnSetting.vue'
import { WEIGHTS } from './lookNames'

/** The type of a look: families, size, weight. */
const { choices } = defineProps<{ choices: LookChoices }>()
const own = defineModel<Look['type']>({ required: true })
const worn = computed(() => choices.worn.type)
const put = (changed: Partial<Look['type']>) => (own.value = { ...own.value, ...changed })
const FONTS = [
  { key: 'font', label: 'Texts' },
  { key: 'titleFont', label: 'Titles' },
] as const
</script>

<template>
  <OwnSetting
    v-for="{ key, label } in FONTS"
    :key="key"
    :is-own="own[key] !== null"
    :name="label"
    @follow="put({ [key]: null })"
  >
    <FontField
      :label="label"
      :fonts="choices.fonts"
      :model-value="worn[key]"
      @update:model-value="put({ [key]: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.size !== null" name="Size" @follow="put({ size: null })">
    <LimitedNumber
      label="Size"
      path="appearance.look.type.size"
      unit="px"
      :model-value="worn.size"
      @update:model-value="put({ size: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.titleWeight !== null" name="Weight of titles" @follow="put({ titleWeight: null })">
    <ChoiceField
      label="Weight of titles"
      :options="WEIGHTS"
      :model-value="worn.titleWeight"
      @update:model-value="put({ titleWeight: $event })"
    />
  </OwnSetting>
  <OwnSetting :is-own="own.textOfPage !== null" name="Colour of text" @follow="put({ textOfPage: null })">
    <SwitchLine
      label="Text has the page’s own colour"
      hint="wherever that can be read"
      :model-value="worn.textOfPage"
      @update:model-value="put({ textOfPage: $event })"
    />
  </OwnSetting>
</template>

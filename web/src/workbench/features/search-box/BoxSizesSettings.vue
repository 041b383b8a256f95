<script setup lang="ts">
import type { BoxSizes } from '../../../shared/contract'
import { settingsOf } from '../../kit/settingsOf'
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import { SIZES } from '../places/placeNames'

/** How large the box is; each is the look's until it is set. */
const sizes = defineModel<BoxSizes>({ required: true })
const settings = settingsOf(sizes)
</script>

<template>
  <LimitedNumber
    v-for="{ key, label, empty } in SIZES"
    :key="key"
    v-model="settings[key]"
    :label="label"
    :empty="empty"
    unit="px"
    :path="`places.box.dress.sizes.${key}`"
  />
</template>

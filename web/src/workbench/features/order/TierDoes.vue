<script setup lang="ts">
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import LimitedText from '../design-rules/LimitedText.vue'
import { toRef, type Ref } from 'vue'
import type { Tier } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import { settingsOf } from '../../kit/settingsOf'

/** What a tier is called, what it does, and whether it is paid for. */
const tier = defineModel<Tier>({ required: true })
const settings = settingsOf(tier)
/** Asked only while the tier lifts. */
const lift = settingsOf(toRef(settings, 'lift') as Ref<NonNullable<Tier['lift']>>)
const USUAL_LIFT = { most: 3, mostLive: 1, turns: 'by-day' } as const
const DOES = [
  { value: true, label: 'Lifts to the top' },
  { value: false, label: 'Only marks' },
]
</script>

<template>
  <LimitedText v-model="settings.name" label="Name, for you" path="ranking.tiers.name" required />
  <ButtonChoice
    label="What the tier does"
    :options="DOES"
    :model-value="tier.lift !== null"
    @update:model-value="settings.lift = $event ? USUAL_LIFT : null"
  />
  <template v-if="tier.lift">
    <LimitedNumber v-model="lift.most" label="At most in a list" empty="all" path="ranking.tiers.lift.most" />
    <LimitedNumber
      v-model="lift.mostLive"
      label="At most in live results"
      empty="as many"
      path="ranking.tiers.lift.mostLive"
    />
    <small class="quiet">
      The others of the tier stand where the rest of the order puts them, and keep its looks. An empty field sets no
      limit.
    </small>
    <SwitchLine
      label="Equals take turns by day"
      hint="the same for all visitors on a day, and fair over a month"
      :model-value="tier.lift.turns === 'by-day'"
      @update:model-value="lift.turns = $event ? 'by-day' : 'none'"
    />
  </template>
  <SwitchLine
    label="It is paid for"
    hint="and visitors read so on the card"
    :model-value="tier.disclosure !== null"
    @update:model-value="settings.disclosure = $event ? 'Paid placement' : null"
  />
  <LimitedText
    v-if="tier.disclosure !== null"
    :model-value="tier.disclosure"
    label="They read"
    path="ranking.tiers.disclosure"
    required
    @update:model-value="settings.disclosure = $event"
  />
</template>

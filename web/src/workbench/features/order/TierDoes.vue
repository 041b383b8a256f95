<script setup lang="ts">
import type { Tier } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import NumberField from '../../kit/NumberField.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import TextField from '../../kit/TextField.vue'

/** What a tier is called, what it does, and whether it is paid for. */
const tier = defineModel<Tier>({ required: true })
const put = (changed: Partial<Tier>) => {
  tier.value = { ...tier.value, ...changed }
}
const putLift = (changed: Partial<NonNullable<Tier['lift']>>) => {
  if (tier.value.lift) put({ lift: { ...tier.value.lift, ...changed } })
}
const USUAL_LIFT = { most: 3, mostLive: 1, turns: 'by-day' } as const
const DOES = [
  { value: true, label: 'Lifts to the top' },
  { value: false, label: 'Only marks' },
]
</script>

<template>
  <TextField
    label="Name, for you"
    :maxlength="40"
    :model-value="tier.name"
    @update:model-value="$event && put({ name: $event })"
  />
  <ButtonChoice
    label="What the tier does"
    :options="DOES"
    :model-value="tier.lift !== null"
    @update:model-value="put({ lift: $event ? USUAL_LIFT : null })"
  />
  <template v-if="tier.lift">
    <NumberField
      label="At most in a list"
      empty="all"
      :min="1"
      :max="100"
      :model-value="tier.lift.most"
      @update:model-value="putLift({ most: $event })"
    />
    <NumberField
      label="At most in live results"
      empty="as many"
      :min="0"
      :max="100"
      :model-value="tier.lift.mostLive"
      @update:model-value="putLift({ mostLive: $event })"
    />
    <small class="quiet">
      The others of the tier stand where the rest of the order puts them, and keep its looks. An empty field sets no
      limit.
    </small>
    <SwitchLine
      label="Equals take turns by day"
      hint="the same for all visitors on a day, and fair over a month"
      :model-value="tier.lift.turns === 'by-day'"
      @update:model-value="putLift({ turns: $event ? 'by-day' : 'none' })"
    />
  </template>
  <SwitchLine
    label="It is paid for"
    hint="and visitors read so on the card"
    :model-value="tier.disclosure !== null"
    @update:model-value="put({ disclosure: $event ? 'Paid placement' : null })"
  />
  <TextField
    v-if="tier.disclosure !== null"
    label="They read"
    :maxlength="60"
    :model-value="tier.disclosure"
    @update:model-value="$event && put({ disclosure: $event })"
  />
</template>

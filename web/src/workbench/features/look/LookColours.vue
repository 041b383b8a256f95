<script setup lang="ts">
import type { LookChoices } from '../../../shared/contract'
import ColourField from '../../kit/ColourField.vue'
import ContrastLine from '../../kit/ContrastLine.vue'
import OwnSetting from './OwnSetting.vue'
import type { ColourToken, Shade } from './lookNames'

/** Some of the colours of one shade, each with what it cannot be read on. */
const { tokens, shade, choices } = defineProps<{
  tokens: LookChoices['tokens']
  shade: Shade
  choices: LookChoices
}>()
/** Those that the look has of its own. */
const own = defineModel<Record<string, string>>({ required: true })
const nameOf = (token: ColourToken) => choices.tokens.find(one => one.token === token)?.name ?? token
const put = (token: ColourToken, colour: string) => (own.value = { ...own.value, [token]: colour })
const follow = (token: ColourToken) =>
  (own.value = Object.fromEntries(Object.entries(own.value).filter(([name]) => name !== token)))
/** The worst of what a token is written on, where it cannot be read there. */
const failing = (token: ColourToken) =>
  choices.contrasts
    .filter(one => one.shade === shade && one.front === token && one.ratio < one.wanted)
    .sort((a, b) => a.ratio / a.wanted - b.ratio / b.wanted)[0]
/** What mends it: this colour, or the one behind it. */
function fixes(token: ColourToken) {
  const fault = failing(token)
  return [
    { label: 'Take', token, colour: fault?.nearest },
    { label: `Make “${nameOf(fault?.behind ?? token)}”`, token: fault?.behind, colour: fault?.nearestBehind },
  ].flatMap(fix => (fix.colour && fix.token ? [{ label: fix.label, token: fix.token, colour: fix.colour }] : []))
}
</script>

<template>
  <template v-for="{ token, name } in tokens" :key="token">
    <OwnSetting :is-own="token in own" :name="name" @follow="follow(token)">
      <ColourField :label="name" :model-value="choices.worn[shade][token]!" @update:model-value="put(token, $event)" />
    </OwnSetting>
    <ContrastLine
      v-if="failing(token)"
      :ratio="failing(token)!.ratio"
      :needed="failing(token)!.wanted"
      :of="`on “${nameOf(failing(token)!.behind)}”`"
      :fixes="fixes(token)"
      @take="put($event.token, $event.colour)"
    />
  </template>
</template>

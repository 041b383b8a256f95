<script setup lang="ts">
import LimitedNumber from '../design-rules/LimitedNumber.vue'
import type { TierFigures, TierLooks } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import ColourField from '../../kit/ColourField.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import { settingsOf } from '../../kit/settingsOf'
import RibbonLooks from './RibbonLooks.vue'
import TierSwatch from './TierSwatch.vue'
import { EDGES, READY_LOOKS } from './tiers'

/** How cards of a tier are drawn. Nothing here moves anything. */
const { figures } = defineProps<{ figures: TierFigures | undefined }>()
const looks = defineModel<TierLooks>({ required: true })
const settings = settingsOf(looks)
const contrast = (part: TierFigures['contrasts'][number]['part']) => figures?.contrasts.find(one => one.part === part)
/** A ready look keeps the text that the owner wrote. */
const take = (ready: TierLooks) => {
  const text = looks.value.ribbon?.text
  looks.value = ready.ribbon && text !== undefined ? { ...ready, ribbon: { ...ready.ribbon, text } } : ready
}
const USUAL_GROUND = '#fff8ea'
const USUAL_CORNERS = 10
</script>

<template>
  <div class="looks">
    <div class="ready">
      <span class="label">Begin from</span>
      <TierSwatch
        is="button"
        v-for="one in READY_LOOKS"
        :key="one.name"
        :looks="one.looks"
        :says="one.name"
        :aria-label="`Take the look ${one.name}`"
        @click="take(one.looks)"
      />
    </div>
    <SwitchLine
      label="Ribbon"
      :model-value="looks.ribbon !== null"
      @update:model-value="settings.ribbon = $event ? { ...READY_LOOKS[0]!.looks.ribbon! } : null"
    />
    <div v-if="looks.ribbon" class="inner">
      <RibbonLooks
        :model-value="looks.ribbon"
        :contrast="contrast('ribbon')"
        @update:model-value="settings.ribbon = $event"
      />
    </div>
    <ChoiceField v-model="settings.edge" label="Edge" buttons :options="EDGES" />
    <div v-if="looks.edge !== 'none'" class="inner">
      <ColourField v-model="settings.edgeColor" label="Its colour" :contrast="contrast('edge')" :needed="3" />
    </div>
    <SwitchLine
      label="Ground of its own"
      :model-value="looks.ground !== null"
      @update:model-value="settings.ground = $event ? USUAL_GROUND : null"
    />
    <div v-if="looks.ground !== null" class="inner">
      <ColourField
        :model-value="looks.ground"
        label="Its colour"
        contrast-of="of the card’s texts"
        :contrast="contrast('ground')"
        @update:model-value="settings.ground = $event"
      />
    </div>
    <SwitchLine
      label="Corners of its own"
      :model-value="looks.corners !== null"
      @update:model-value="settings.corners = $event ? USUAL_CORNERS : null"
    />
    <div v-if="looks.corners !== null" class="inner">
      <LimitedNumber
        v-model="settings.corners"
        label="How round they are"
        unit="px"
        path="ranking.tiers.looks.corners"
      />
    </div>
  </div>
</template>

<style scoped>
.looks {
  display: grid;
  gap: 10px;
}
.ready {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.ready .label {
  margin-right: 4px;
}
.inner {
  display: grid;
  gap: 8px;
  padding: 0 0 4px 14px;
  border-left: 2px solid var(--line);
}
</style>

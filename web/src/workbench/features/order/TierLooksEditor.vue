<script setup lang="ts">
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, useId } from 'vue'
import type { Ribbon, TierFigures, TierLooks } from '../../../shared/contract'
import { READY_LOOKS } from './tiers'
import ColourField from '../../kit/ColourField.vue'

/** How cards of a tier are drawn. Nothing here moves anything. */
const { figures } = defineProps<{ figures: TierFigures | undefined }>()
const looks = defineModel<TierLooks>({ required: true })
const id = useId()
const edges = [
  { value: 'none', label: 'None' },
  { value: 'fine', label: 'Fine' },
  { value: 'clear', label: 'Clear' },
  { value: 'strong', label: 'Strong' },
]
const sizes = [
  { value: 'small', label: 'Small' },
  { value: 'usual', label: 'Usual' },
  { value: 'large', label: 'Large' },
]
const sides = [
  { value: 'start', label: 'Where lines begin' },
  { value: 'end', label: 'Where they end' },
]
const put = (changed: Partial<TierLooks>) => {
  looks.value = { ...looks.value, ...changed }
}
const ribbon = computed(() => looks.value.ribbon)
const putRibbon = (changed: Partial<Ribbon>) => {
  if (ribbon.value) put({ ribbon: { ...ribbon.value, ...changed } })
}
const contrast = (part: TierFigures['contrasts'][number]['part']) => figures?.contrasts.find(one => one.part === part)
/** Cut, not rounded: 4.499 does not pass. */
const ratio = (value: number) => (Math.floor(value * 100) / 100).toFixed(2)
/** A ready look keeps the text that the owner wrote. */
const take = (ready: TierLooks) => {
  looks.value =
    ready.ribbon && ribbon.value ? { ...ready, ribbon: { ...ready.ribbon, text: ribbon.value.text } } : ready
}
</script>

<template>
  <div class="looks">
    <div class="ready">
      <span class="label">Begin from</span>
      <button
        v-for="one in READY_LOOKS"
        :key="one.name"
        type="button"
        class="swatch"
        :style="{
          background: one.looks.ground ?? '#fff',
          borderColor: one.looks.edge === 'none' ? 'var(--line)' : one.looks.edgeColor,
        }"
        :aria-label="`Take the look ${one.name}`"
        @click="take(one.looks)"
      >
        <span :style="{ background: one.looks.ribbon!.ground, color: one.looks.ribbon!.color }">{{ one.name }}</span>
      </button>
    </div>
    <div class="pair">
      <ToggleSwitch
        :input-id="`${id}-ribbon`"
        :model-value="ribbon !== null"
        @update:model-value="put({ ribbon: $event ? { ...READY_LOOKS[0]!.looks.ribbon! } : null })"
      />
      <label :for="`${id}-ribbon`"><b>Ribbon</b></label>
    </div>
    <div v-if="ribbon" class="inner">
      <div class="field">
        <label :for="`${id}-text`">What it says</label>
        <InputText
          :id="`${id}-text`"
          size="small"
          maxlength="60"
          :model-value="ribbon.text"
          @change="
            ($event.target as HTMLInputElement).value.trim() &&
            putRibbon({ text: ($event.target as HTMLInputElement).value.trim() })
          "
        />
      </div>
      <ColourField label="Its letters" :model-value="ribbon.color" @update:model-value="putRibbon({ color: $event })" />
      <ColourField
        label="Behind them"
        :model-value="ribbon.ground"
        @update:model-value="putRibbon({ ground: $event })"
      />
      <p v-if="contrast('ribbon')" class="contrast" :class="{ low: contrast('ribbon')!.nearest }" role="status">
        <i
          class="pi"
          :class="contrast('ribbon')!.nearest ? 'pi-exclamation-triangle' : 'pi-check'"
          aria-hidden="true"
        />
        Contrast {{ ratio(contrast('ribbon')!.ratio)
        }}<template v-if="contrast('ribbon')!.nearest"
          >, 4.5 is needed.
          <Button
            :label="`Letters ${contrast('ribbon')!.nearest}`"
            size="small"
            severity="secondary"
            outlined
            @click="putRibbon({ color: contrast('ribbon')!.nearest! })"
          />
          <Button
            v-if="contrast('ribbon')!.nearestBehind"
            :label="`Behind ${contrast('ribbon')!.nearestBehind}`"
            size="small"
            severity="secondary"
            outlined
            @click="putRibbon({ ground: contrast('ribbon')!.nearestBehind! })"
          />
        </template>
      </p>
      <SelectButton
        :model-value="ribbon.size"
        :options="sizes"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="Size of the ribbon"
        @update:model-value="putRibbon({ size: $event })"
      />
      <SelectButton
        :model-value="ribbon.side"
        :options="sides"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="Side of the ribbon"
        @update:model-value="putRibbon({ side: $event })"
      />
    </div>
    <div class="field">
      <span class="label">Edge</span>
      <SelectButton
        :model-value="looks.edge"
        :options="edges"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="Edge of the card"
        @update:model-value="put({ edge: $event })"
      />
    </div>
    <div v-if="looks.edge !== 'none'" class="inner">
      <ColourField label="Its colour" :model-value="looks.edgeColor" @update:model-value="put({ edgeColor: $event })" />
      <p v-if="contrast('edge')" class="contrast" :class="{ low: contrast('edge')!.nearest }" role="status">
        <i class="pi" :class="contrast('edge')!.nearest ? 'pi-exclamation-triangle' : 'pi-check'" aria-hidden="true" />
        Contrast {{ ratio(contrast('edge')!.ratio)
        }}<template v-if="contrast('edge')!.nearest"
          >, 3 is needed.
          <Button
            :label="`Take ${contrast('edge')!.nearest}`"
            size="small"
            severity="secondary"
            outlined
            @click="put({ edgeColor: contrast('edge')!.nearest! })"
          />
        </template>
      </p>
    </div>
    <div class="pair">
      <ToggleSwitch
        :input-id="`${id}-ground`"
        :model-value="looks.ground !== null"
        @update:model-value="put({ ground: $event ? '#fff8ea' : null })"
      />
      <label :for="`${id}-ground`"><b>Ground of its own</b></label>
    </div>
    <div v-if="looks.ground !== null" class="inner">
      <ColourField label="Its colour" :model-value="looks.ground" @update:model-value="put({ ground: $event })" />
      <p v-if="contrast('ground')" class="contrast" :class="{ low: contrast('ground')!.nearest }" role="status">
        <i
          class="pi"
          :class="contrast('ground')!.nearest ? 'pi-exclamation-triangle' : 'pi-check'"
          aria-hidden="true"
        />
        Contrast of the card’s texts {{ ratio(contrast('ground')!.ratio)
        }}<template v-if="contrast('ground')!.nearest"
          >, 4.5 is needed.
          <Button
            :label="`Take ${contrast('ground')!.nearest}`"
            size="small"
            severity="secondary"
            outlined
            @click="put({ ground: contrast('ground')!.nearest! })"
          />
        </template>
      </p>
    </div>
    <div class="pair">
      <ToggleSwitch
        :input-id="`${id}-corners`"
        :model-value="looks.corners !== null"
        @update:model-value="put({ corners: $event ? 10 : null })"
      />
      <label :for="`${id}-corners`"><b>Corners of its own</b></label>
      <InputNumber
        v-if="looks.corners !== null"
        :model-value="looks.corners"
        :min="0"
        :max="24"
        size="small"
        show-buttons
        suffix=" px"
        class="px"
        :aria-label="'Roundness of the corners in px'"
        @update:model-value="put({ corners: $event })"
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
.swatch {
  padding: 5px;
  border: 2px solid;
  border-radius: 8px;
  cursor: pointer;
  font: inherit;
}
.swatch span {
  display: block;
  padding: 1px 8px;
  border-radius: 99px;
  font-size: 12px;
  font-weight: 600;
}
.pair {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
  font-size: 13.5px;
}
.pair .px {
  margin-left: auto;
  width: 110px;
}
.pair .px :deep(input) {
  width: 100%;
}
.inner {
  display: grid;
  gap: 8px;
  padding: 0 0 4px 14px;
  border-left: 2px solid var(--line);
}
.contrast {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  font-size: 13px;
  color: var(--good);
}
.contrast.low {
  color: #84261d;
}
</style>

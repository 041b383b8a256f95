<script setup lang="ts">
import { computed } from 'vue'
import type { Look, LookChoices, LookTokens } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ChoiceField from '../../kit/ChoiceField.vue'
import FoldingSection from '../../kit/FoldingSection.vue'
import { settingsOf } from '../../kit/settingsOf'
import LikeThePage from './LikeThePage.vue'
import LookBeginnings from './LookBeginnings.vue'
import LookColours from './LookColours.vue'
import LookFormSettings from './LookFormSettings.vue'
import LookTypeSettings from './LookTypeSettings.vue'
import { formLine, lookFrom, SCHEMES, SHADES, typeLine, type Shade } from './lookNames'
import OwnSetting from './OwnSetting.vue'

/** What a site or one of its searches wears: where it begins, and what it has of its own. */
const { choices, site, siteKey } = defineProps<{
  choices: LookChoices
  /** Whose pages can be looked at. */
  siteKey: string
  /** What the site wears, where a search can follow it; null at the site itself. */
  site: LookTokens | null
}>()
const look = defineModel<Look>({ required: true })
const shade = defineModel<Shade>('shade', { required: true })
const settings = settingsOf(look)
/** So many colours are seldom left as they come. */
const USUAL = 6
/** Only what is worn has to be readable. */
const isWorn = computed(() => ['page', 'visitor', shade.value].includes(choices.worn.scheme))
const faults = computed(() => choices.contrasts.filter(one => one.ratio < one.wanted))
const otherShade = computed<Shade>(() => (shade.value === 'light' ? 'dark' : 'light'))
const inOther = computed(() => faults.value.filter(one => one.shade === otherShade.value).length)
</script>

<template>
  <LookBeginnings
    :model-value="look.from ?? (site ? null : 'harbour')"
    :choices="choices"
    :shade="shade"
    :site="site"
    @update:model-value="look = lookFrom($event)"
  />
  <LikeThePage :site="siteKey" @take="look = $event" />
  <OwnSetting :is-own="look.scheme !== null" name="Light or dark" @follow="settings.scheme = null">
    <ChoiceField
      label="Light or dark"
      :options="SCHEMES"
      :model-value="choices.worn.scheme"
      @update:model-value="settings.scheme = $event"
    />
  </OwnSetting>
  <section class="colours" aria-label="Colours">
    <div class="head">
      <b>Colours</b>
      <ButtonChoice v-model="shade" label="Colours for pages that are" :options="SHADES" />
    </div>
    <p v-if="!isWorn" class="quiet">Nobody meets these: the look is always {{ otherShade }}.</p>
    <LookColours v-model="settings[shade]" :tokens="choices.tokens.slice(0, USUAL)" :shade="shade" :choices="choices" />
    <FoldingSection title="Lines, edges and states" said="">
      <LookColours v-model="settings[shade]" :tokens="choices.tokens.slice(USUAL)" :shade="shade" :choices="choices" />
    </FoldingSection>
    <p v-if="faults.length === 0" class="holds">
      <i class="pi pi-check" aria-hidden="true" />
      Every text passes 4.5 : 1, every edge 3 : 1, light and dark.
    </p>
    <p v-else-if="inOther > 0" class="fails">
      <i class="pi pi-exclamation-triangle" aria-hidden="true" />
      In the {{ otherShade }} colours {{ inOther === 1 ? 'one pair' : `${inOther} pairs` }} cannot be told apart.
    </p>
  </section>
  <FoldingSection title="Type" :said="typeLine(choices.worn, choices.fonts)">
    <LookTypeSettings v-model="settings.type" :choices="choices" />
  </FoldingSection>
  <FoldingSection title="Form" :said="formLine(choices.worn)">
    <LookFormSettings v-model="settings.form" :choices="choices" />
  </FoldingSection>
</template>

<style scoped>
.colours {
  display: grid;
  gap: 8px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  font-size: 14px;
}
.holds {
  color: var(--good);
  font-size: 13px;
}
.fails {
  color: #84261d;
  font-size: 13px;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { Hit, TierFace } from '../../shared/contract'
import { safeAddress } from '../../shared/http'
import { partsOf, textOf } from '../cards/cardParts'
import { MarkedRuns } from '../cards/MarkedRuns'
import { tierLook } from '../cards/tierLook'
import TierRibbon from '../cards/TierRibbon.vue'

/** One result among the live results: a row that is chosen like an option. */
const { hit, tiers } = defineProps<{ hit: Hit; tiers: readonly TierFace[]; active: boolean }>()
const parts = computed(() => partsOf(hit))
const look = computed(() => tierLook(hit, tiers))
</script>

<template>
  <a
    role="option"
    tabindex="-1"
    class="row"
    :class="[{ active, plain: !parts.picture }, look && ['tiered', look.edge]]"
    :style="look?.styles"
    :part="(active ? 'row row-active' : 'row') + (look?.part ?? '')"
    :aria-selected="active"
  >
    <img
      v-if="parts.picture"
      :src="safeAddress(parts.picture.value) ?? undefined"
      alt=""
      loading="lazy"
      part="picture"
    />
    <span>
      <span class="line">
        <span class="name" part="title"><MarkedRuns :runs="parts.title?.text ?? []" /></span>
        <TierRibbon v-if="look?.tier.looks.ribbon" :looks="look.tier.looks.ribbon" :text="textOf(parts.ribbon)" />
      </span>
      <span class="about">
        <template v-if="parts.disclosure">{{ `${textOf(parts.disclosure)} · ` }}</template>
        <MarkedRuns :runs="parts.excerpt?.text ?? []" />
      </span>
    </span>
  </a>
</template>

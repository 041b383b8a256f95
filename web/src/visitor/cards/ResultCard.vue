<script setup lang="ts">
import { computed } from 'vue'
import type { Hit } from '../../shared/contract'
import { safeAddress } from '../../shared/http'
import { partsOf, textOf } from './cardParts'
import { MarkedRuns } from './MarkedRuns'
import type { TierLook } from './tierLook'
import TierRibbon from './TierRibbon.vue'

/** One result on a page of results: what its card says, as the service has written it. */
const { hit, look } = defineProps<{
  hit: Hit
  /** How it is drawn where its item holds a featured tier. */
  look: TierLook | undefined
  /** Where its link opens. */
  target: string | undefined
}>()
const parts = computed(() => partsOf(hit))
const address = computed(() => safeAddress(hit.url))
</script>

<template>
  <article
    class="card"
    :class="[{ plain: !parts.picture }, look && ['tiered', look.edge]]"
    :style="look?.styles"
    :part="`card${look?.part ?? ''}`"
  >
    <TierRibbon v-if="look?.tier.looks.ribbon" :looks="look.tier.looks.ribbon" :text="textOf(parts.ribbon)" />
    <img
      v-if="parts.picture"
      :src="safeAddress(parts.picture.value) ?? undefined"
      alt=""
      loading="lazy"
      part="picture"
    />
    <div>
      <h3 part="title">
        <a v-if="address" :href="address" :target="target"><MarkedRuns :runs="parts.title?.text ?? []" /></a>
        <MarkedRuns v-else :runs="parts.title?.text ?? []" />
      </h3>
      <p v-if="parts.excerpt" class="excerpt" part="excerpt"><MarkedRuns :runs="parts.excerpt.text" /></p>
      <p class="kind">
        {{ textOf(parts.collection) }}
        <span v-if="parts.disclosure" part="disclosure">· {{ textOf(parts.disclosure) }}</span>
        <span v-if="parts.distance" part="distance">· {{ textOf(parts.distance) }}</span>
      </p>
    </div>
  </article>
</template>

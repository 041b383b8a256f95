<script setup lang="ts">
import { computed } from 'vue'
import type { LookTokens } from '../../../shared/contract'
import type { Shade } from './lookNames'

/** What a look is like, in small: a heading, a card, a word found, a link. */
const { tokens, shade, name } = defineProps<{ tokens: LookTokens; shade: Shade; name: string }>()
const PAD = { airy: 9, usual: 7, dense: 4 }
const SHADOW = { none: 'none', soft: '0 1px 3px rgb(20 30 35 / 18%)', deep: '0 3px 9px rgb(20 30 35 / 25%)' }
const colour = (token: string) => tokens[shade][token]
const family = (font: string) => (font === 'inherit' ? undefined : font)
const whole = computed(() => ({
  background: colour('around'),
  color: colour('text'),
  fontFamily: family(tokens.type.font),
}))
const grounded = computed(() => ['framed', 'filled'].includes(tokens.form.cards))
const card = computed(() => ({
  background: grounded.value ? colour('ground') : 'none',
  border: tokens.form.cards === 'framed' ? `1px solid ${colour('line')}` : '0',
  borderTop: ['framed', 'ruled'].includes(tokens.form.cards) ? `1px solid ${colour('line')}` : '0',
  borderRadius: grounded.value ? `${Math.min(tokens.form.corners, 12)}px` : '0',
  boxShadow: grounded.value ? SHADOW[tokens.form.shadow] : 'none',
  padding: `${PAD[tokens.form.density]}px ${grounded.value ? PAD[tokens.form.density] + 2 : 0}px`,
}))
const title = computed(() => ({
  fontFamily: family(tokens.type.titleFont),
  fontWeight: tokens.type.titleWeight,
  fontSize: `${tokens.type.size - 1}px`,
}))
</script>

<template>
  <span class="sample" :style="whole">
    <span :style="card" class="card">
      <span class="title" :style="title">{{ name }}</span>
      <span class="line">
        <span :style="{ color: colour('quiet') }">Second</span>
        <mark :style="{ background: colour('mark'), color: colour('text') }">found</mark>
        <b :style="{ color: colour('accent') }">Link</b>
      </span>
    </span>
  </span>
</template>

<style scoped>
.sample {
  display: block;
  padding: 10px;
  text-align: start;
}
.card {
  display: block;
}
.title {
  display: block;
  overflow: hidden;
  line-height: 1.3;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.line {
  display: flex;
  gap: 7px;
  font-size: 11.5px;
  white-space: nowrap;
}
.line b {
  font-weight: 600;
}
</style>

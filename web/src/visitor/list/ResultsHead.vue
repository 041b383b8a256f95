<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Results } from '../../shared/contract'
import { useTexts } from '../texts'
import BoxSign from '../box/BoxSign.vue'
import type { FilterChoice } from '../filters/useFilterChoice'
import { useExtras } from './useExtras'

/** What stands above the cards: what was searched for, how many there are, in which order. */
const { answer, title } = defineProps<{
  answer: Results
  title: string
  /** Where just this is shown. */
  address: () => string
  /** What holds in filters. */
  choice: FilterChoice
}>()
const emit = defineEmits<{ put: [order: string]; everything: [] }>()
const { nothingFor, say } = useTexts()
const extras = useExtras()
const heading = ref<HTMLElement>()
const shows = computed(() => answer.list.shows)
const isNothing = computed(() => answer.total === 0)
const count = computed(() =>
  [
    shows.value.count ? say('count', { count: answer.total }) : '',
    shows.value.time ? say('took', { milliseconds: Math.max(1, Math.round(answer.tookMicros / 1000)) }) : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
defineExpose({
  focus: () => {
    heading.value?.focus({ preventScroll: true })
    heading.value?.scrollIntoView({ block: 'nearest' })
  },
})
</script>

<template>
  <BoxSign
    v-if="isNothing && answer.list.nothingSign"
    class="nothing-sign"
    :path="answer.list.nothingSign"
    :size="56"
  />
  <h2 ref="heading" class="heading" :class="{ unseen: !shows.heading && !isNothing }" part="heading" tabindex="-1">
    {{ isNothing ? nothingFor(answer.query) : title }}
  </h2>
  <div v-if="!isNothing" class="counted">
    <p v-if="count" class="count" part="count">{{ count }}</p>
    <label v-if="shows.order && answer.orders.length > 0" class="ordered" part="order">
      {{ say('order') }}
      <select class="typed" @change="emit('put', ($event.target as HTMLSelectElement).value)">
        <option v-for="order in answer.orders" :key="order.key" :value="order.key" :selected="order.selected">
          {{ order.label }}
        </option>
      </select>
    </label>
    <component :is="extras?.CopyLink" v-if="shows.copyLink" :address="address" />
  </div>
  <component :is="extras?.NothingFound" v-else :answer="answer" :choice="choice" @everything="emit('everything')" />
</template>

<script lang="ts">
/** Not before somebody is about to type: most pages carry a box that nobody uses. */
const livePanel = late(() => import('../live/LivePanel.vue').then(one => one.default))
</script>

<script setup lang="ts">
import { computed, inject, ref } from 'vue'
import { late } from '../../shared/late'
import { useTexts } from '../texts'
import { BOX } from './boxContext'
import { SearchField } from './SearchField'

/** The box with what stands above it, and live results below it. */
const { withList, over = false } = defineProps<{
  /** Whether live results show at this box. */
  withList: boolean
  /** Whether it stands over the page, where live results are no panel of their own. */
  over?: boolean
}>()
const box = inject(BOX)!
const { say } = useTexts()
const field = ref<{ focus: () => void }>()
defineExpose({ focus: () => field.value?.focus() })
function entered() {
  if (withList) void livePanel.load()
  box.entered()
}
const isShown = computed(() => withList && box.live.isShown.value)
const LivePanel = computed(() => (isShown.value ? livePanel.wanted() : undefined))
const list = computed(() =>
  withList && box.list.value?.where !== 'nowhere'
    ? { id: isShown.value ? `${box.id}-list` : undefined, active: box.live.activeRow.value?.id }
    : null,
)
</script>

<template>
  <div class="asked" :class="{ over }" part="asked">
    <h2 v-if="box.arrangement.value.heading" class="box-heading" part="box-heading">{{ say('boxHeading') }}</h2>
    <p v-if="box.arrangement.value.label" class="box-label" part="box-label" aria-hidden="true">
      {{ box.named.value }}
    </p>
    <SearchField ref="field" :is-in-page="!over" :list="list" @entered="entered" />
    <component :is="LivePanel" v-if="LivePanel" :floating="!over" />
  </div>
</template>

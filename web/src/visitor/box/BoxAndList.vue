<script setup lang="ts">
import { computed, defineAsyncComponent, inject, ref } from 'vue'
import { useTexts } from '../texts'
import { BOX } from './boxContext'
import SearchField from './SearchField.vue'

/** Not before somebody is about to type: most pages carry a box that nobody uses. */
const loadPanel = () => import('../live/LivePanel.vue')
const LivePanel = defineAsyncComponent(loadPanel)

/** The box with what stands above it, and live results below it. */
const { withList, over = false } = defineProps<{
  /** Whether live results show at this box. */
  withList: boolean
  /** Whether it stands over the page, where live results are no panel of their own. */
  over?: boolean
}>()
const box = inject(BOX)!
const { say } = useTexts()
const field = ref<InstanceType<typeof SearchField>>()
defineExpose({ focus: () => field.value?.focus() })
function entered() {
  if (withList) void loadPanel()
  box.entered()
}
const isShown = computed(() => withList && box.live.isShown.value)
const list = computed(() => ({
  offered: withList && box.list.value?.where !== 'nowhere',
  id: isShown.value ? `${box.id}-list` : undefined,
  active: withList ? box.live.activeRow.value?.id : undefined,
}))
</script>

<template>
  <div class="asked" :class="{ over }" part="asked">
    <h2 v-if="box.arrangement.value.heading" class="box-heading" part="box-heading">{{ say('boxHeading') }}</h2>
    <p v-if="box.arrangement.value.label" class="box-label" part="box-label" aria-hidden="true">
      {{ box.named.value }}
    </p>
    <SearchField
      ref="field"
      v-model="box.text.value"
      :arrangement="box.arrangement.value"
      :named="box.named.value"
      :placeholder="box.placeholder.value"
      :list="list"
      :chooser="box.chooser.value"
      @typed="box.typed"
      @entered="entered"
      @key="box.key"
      @clear="box.clear"
    />
    <LivePanel v-if="isShown" :floating="!over" />
  </div>
</template>

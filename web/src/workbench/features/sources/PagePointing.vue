<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CrawlSettings, Outline } from '../../../shared/contract'
import { counted } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import PageBlocks from './PageBlocks.vue'
import type { Pointed } from './pointing'
import TakenFromPage from './TakenFromPage.vue'

/**
 * A page as a list of its parts: what is taken as main text, and parts that become fields of their own. Nothing of the
 * page is run or shown as HTML.
 */
const { site, settings, pages } = defineProps<{ site: string; settings: CrawlSettings; pages: readonly string[] }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ pointed: [chosen: Pointed] }>()
const address = ref(pages[0] ?? settings.address)
const chosen = ref<Pointed>({
  mainText: settings.mainText,
  leaveOut: [...settings.leaveOut],
  parts: [...settings.parts],
})
const outline = shallowRef<Outline | null>(null)
const { busy, wrong, attempt } = useAttempt()
watch(
  [address, () => chosen.value.mainText, () => chosen.value.leaveOut],
  () =>
    attempt(async () => {
      outline.value = await api.outline(site, { ...settings, ...chosen.value }, address.value)
    }),
  { immediate: true },
)
const containers = computed(() =>
  (outline.value?.containers ?? []).map(one => ({
    value: one.selector,
    label: `${one.selector} · ${counted(one.words, 'word')}`,
  })),
)
const main = computed(() => outline.value?.containers.find(one => one.chosen)?.selector ?? null)
const choose = (changed: Partial<Pointed>) => {
  chosen.value = { ...chosen.value, ...changed }
}
const without = (name: string) => chosen.value.parts.filter(part => part.name !== name)
</script>

<template>
  <Dialog
    v-model:visible="shown"
    modal
    header="Point at parts of a page"
    :draggable="false"
    :style="{ width: '1040px', maxWidth: '96vw' }"
  >
    <div class="tools">
      <div class="field grow">
        <label for="pointing-page">Page</label>
        <Select v-model="address" input-id="pointing-page" :options="[...pages]" editable />
      </div>
      <div class="field grow">
        <label for="pointing-main">The main text stands in</label>
        <Select
          :model-value="main"
          input-id="pointing-main"
          :options="containers"
          option-label="label"
          option-value="value"
          :loading="busy"
          @update:model-value="choose({ mainText: $event })"
        />
      </div>
    </div>
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
    <div v-if="outline" class="both">
      <PageBlocks
        :outline="outline"
        :parts="chosen.parts"
        @field="(name, selector) => choose({ parts: [...without(name), { name, selector }] })"
        @leave-out="choose({ leaveOut: [...chosen.leaveOut, $event] })"
      />
      <TakenFromPage
        :outline="outline"
        :chosen="chosen"
        @without-field="choose({ parts: without($event) })"
        @let-in="selector => choose({ leaveOut: chosen.leaveOut.filter(one => one !== selector) })"
      />
    </div>
    <template #footer>
      <Button label="As it was" severity="secondary" text @click="shown = false" />
      <Button label="Read pages like this" @click="emit('pointed', chosen)" />
    </template>
  </Dialog>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 16px;
  margin-bottom: 12px;
}
.grow {
  flex: 1;
  min-width: 0;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 24px;
}
</style>

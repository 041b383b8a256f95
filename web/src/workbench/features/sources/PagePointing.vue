<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, nextTick, onMounted, reactive, ref, shallowRef, watch } from 'vue'
import type { CrawlSettings, Outline } from '../../../shared/contract'
import { counted } from '../../kit/format'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'

/**
 * A page as a list of its parts: what is taken as main text, and parts that become fields of their own. Nothing of the
 * page is run or shown as HTML.
 */
const { site, settings, pages } = defineProps<{ site: string; settings: CrawlSettings; pages: readonly string[] }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ pointed: [change: Pick<CrawlSettings, 'mainText' | 'leaveOut' | 'parts'>] }>()
const address = ref(pages[0] ?? settings.address)
const chosen = reactive<Pick<CrawlSettings, 'mainText' | 'leaveOut' | 'parts'>>({
  mainText: settings.mainText,
  leaveOut: [...settings.leaveOut],
  parts: settings.parts.map(part => ({ ...part })),
})
const outline = shallowRef<Outline | null>(null)
const load = useAttempt()
const words = ref('')
const pointedAt = ref<string | null>(null)
const name = ref('')

async function see() {
  await load.attempt(async () => {
    outline.value = await api.outline(site, { ...settings, ...chosen }, address.value)
  })
}
onMounted(see)
watch(address, see)
const blocks = computed(() =>
  (outline.value?.blocks ?? []).filter(block => block.text.toLowerCase().includes(words.value.toLowerCase())),
)
const partOf = (selector: string) => chosen.parts.find(part => part.selector === selector)
const containers = computed(() =>
  (outline.value?.containers ?? []).map(one => ({
    value: one.selector,
    label: `${one.selector} · ${counted(one.words, 'word')}`,
  })),
)
const main = computed(() => outline.value?.containers.find(one => one.chosen)?.selector ?? null)

const list = ref<HTMLElement>()
function point(selector: string, tag: string) {
  pointedAt.value = pointedAt.value === selector ? null : selector
  const last = selector.split(/[ .#]/).pop() ?? tag
  void nextTick(() => list.value?.querySelector('form')?.scrollIntoView({ block: 'nearest' }))
  name.value = /^[a-z][a-z-]+$/i.test(last) && last !== tag ? last.replace(/-/g, ' ') : ''
}
function addPart(selector: string) {
  if (name.value.trim() === '') return
  chosen.parts = [
    ...chosen.parts.filter(part => part.name !== name.value.trim()),
    { name: name.value.trim(), selector },
  ]
  pointedAt.value = null
}
async function leaveOut(selector: string) {
  chosen.leaveOut = [...chosen.leaveOut, selector]
  pointedAt.value = null
  await see()
}
async function takeMain(selector: string) {
  chosen.mainText = selector
  await see()
}
const withoutPart = (which: string) => {
  chosen.parts = chosen.parts.filter(part => part.name !== which)
}
async function letIn(selector: string) {
  chosen.leaveOut = chosen.leaveOut.filter(one => one !== selector)
  await see()
}
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
          :loading="load.busy.value"
          @update:model-value="takeMain"
        />
      </div>
    </div>
    <p v-if="load.wrong.value" class="remark bad" role="alert">
      <i class="pi pi-exclamation-triangle" aria-hidden="true" />
      {{ load.wrong.value }}
    </p>
    <div v-if="outline" class="both">
      <section aria-label="Parts of the page">
        <div class="line">
          <h3>Parts of the page</h3>
          <InputText
            v-model="words"
            size="small"
            type="search"
            placeholder="Find words of the page"
            aria-label="Find words of the page"
          />
        </div>
        <p class="quiet small">
          Choose a part to make a field of it, or to leave it out.
          <span class="mark" />
          is taken as main text.
        </p>
        <ul ref="list" class="blocks" tabindex="-1">
          <li v-for="(block, n) in blocks" :key="n" :class="{ main: block.main, chosen: partOf(block.selector) }">
            <button
              type="button"
              :aria-expanded="pointedAt === block.selector"
              @click="point(block.selector, block.tag)"
            >
              <span class="tag">{{ block.picture ? 'image' : block.tag }}</span>
              <span class="text">{{ block.text || 'an image without alternative text' }}</span>
              <span v-if="partOf(block.selector)" class="field-name">{{ partOf(block.selector)!.name }}</span>
            </button>
            <form
              v-if="pointedAt === block.selector && blocks.findIndex(one => one.selector === block.selector) === n"
              class="act"
              @submit.prevent="addPart(block.selector)"
            >
              <InputText
                v-model="name"
                size="small"
                placeholder="Name of the field, such as price"
                aria-label="Name of the field"
                autofocus
              />
              <Button type="submit" size="small" label="Make it a field" :disabled="name.trim() === ''" />
              <Button
                v-if="block.main"
                size="small"
                severity="secondary"
                outlined
                label="Leave it out of the text"
                @click="leaveOut(block.selector)"
              />
              <span class="quiet small">
                {{ block.alike === 1 ? 'one such part on this page' : `${block.alike} such parts on this page` }}:
                <code>{{ block.selector }}</code>
              </span>
            </form>
          </li>
        </ul>
      </section>
      <section aria-label="What is taken">
        <h3>What is taken</h3>
        <p class="quiet small">{{ outline.title }}</p>
        <ul v-if="chosen.parts.length > 0 || chosen.leaveOut.length > 0" class="chips">
          <li v-for="part in chosen.parts" :key="part.name">
            Field
            <b>{{ part.name }}</b>
            <Button
              icon="pi pi-times"
              text
              rounded
              size="small"
              severity="secondary"
              :aria-label="`Take the field ${part.name} away`"
              @click="withoutPart(part.name)"
            />
          </li>
          <li v-for="selector in chosen.leaveOut" :key="selector">
            Left out
            <code>{{ selector }}</code>
            <Button
              icon="pi pi-times"
              text
              rounded
              size="small"
              severity="secondary"
              :aria-label="`Let ${selector} in again`"
              @click="letIn(selector)"
            />
          </li>
        </ul>
        <div class="taken" tabindex="0" aria-label="The main text as it would be taken">
          {{ outline.mainText || 'No text is taken from this page.' }}
        </div>
      </section>
    </div>
    <template #footer>
      <Button label="As it was" severity="secondary" text @click="shown = false" />
      <Button
        label="Read pages like this"
        @click="
          emit('pointed', { mainText: chosen.mainText, leaveOut: [...chosen.leaveOut], parts: [...chosen.parts] })
        "
      />
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
.line > input {
  flex: 0 1 220px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 24px;
}
.line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
}
.small {
  font-size: 12.5px;
}
.mark {
  display: inline-block;
  width: 4px;
  height: 13px;
  background: var(--sea);
  border-radius: 2px;
  vertical-align: -2px;
}
.blocks {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  height: 380px;
  overflow-y: auto;
  border: 1px solid var(--line);
  border-radius: 8px;
}
.blocks li {
  border-inline-start: 4px solid transparent;
  border-bottom: 1px solid var(--line);
}
.blocks li.main {
  border-inline-start-color: var(--sea);
}
.blocks li.chosen {
  background: var(--lamp-wash);
}
.blocks > li > button {
  display: flex;
  gap: 10px;
  width: 100%;
  padding: 5px 10px;
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
  align-items: baseline;
}
.blocks > li > button:hover {
  background: var(--sea-wash);
}
.blocks li:not(.main) .text {
  color: var(--quiet);
}
.tag {
  flex: 0 0 74px;
  font-size: 12px;
  color: var(--quiet);
  font-family: ui-monospace, 'DejaVu Sans Mono', monospace;
}
.text {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 13.5px;
}
.field-name {
  font-weight: 600;
  color: var(--lamp-deep);
  font-size: 13px;
}
.act {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 8px 10px 10px;
  background: var(--leaf);
}
.chips {
  list-style: none;
  margin: 8px 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.chips li {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  padding: 0 2px 0 10px;
  border: 1px solid var(--line);
  border-radius: 99px;
  font-size: 13px;
}
.taken {
  height: 340px;
  overflow-y: auto;
  white-space: pre-line;
  padding: 12px 14px;
  margin-top: 8px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--leaf);
  font-size: 13.5px;
}
</style>

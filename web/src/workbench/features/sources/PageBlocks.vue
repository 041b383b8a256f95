<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, nextTick, ref } from 'vue'
import type { Outline } from '../../../shared/contract'
import type { Pointed } from './pointing'

/** The parts of a page in a list. One that is chosen can become a field, or be left out of the text. */
const { outline, parts } = defineProps<{ outline: Outline; parts: Pointed['parts'] }>()
const emit = defineEmits<{ field: [name: string, selector: string]; leaveOut: [selector: string] }>()
const words = ref('')
const pointedAt = ref<string | null>(null)
const name = ref('')
const list = ref<HTMLElement>()

const blocks = computed(() =>
  outline.blocks.filter(block => block.text.toLowerCase().includes(words.value.toLowerCase())),
)
const partOf = (selector: string) => parts.find(part => part.selector === selector)
/** Several blocks may be met by one selector; the form stands at the first. */
const hasForm = (selector: string, at: number) =>
  pointedAt.value === selector && blocks.value.findIndex(one => one.selector === selector) === at
async function point(selector: string, tag: string) {
  pointedAt.value = pointedAt.value === selector ? null : selector
  const last = selector.split(/[ .#]/).pop() ?? tag
  name.value = /^[a-z][a-z-]+$/i.test(last) && last !== tag ? last.replace(/-/g, ' ') : ''
  await nextTick()
  list.value?.querySelector('form')?.scrollIntoView({ block: 'nearest' })
}
function makeField(selector: string) {
  if (name.value.trim() === '') return
  emit('field', name.value.trim(), selector)
  pointedAt.value = null
}
function leaveOut(selector: string) {
  emit('leaveOut', selector)
  pointedAt.value = null
}
</script>

<template>
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
        <button type="button" :aria-expanded="pointedAt === block.selector" @click="point(block.selector, block.tag)">
          <span class="tag">{{ block.picture ? 'image' : block.tag }}</span>
          <span class="text">{{ block.text || 'an image without alternative text' }}</span>
          <span v-if="partOf(block.selector)" class="field-name">{{ partOf(block.selector)!.name }}</span>
        </button>
        <form v-if="hasForm(block.selector, n)" class="act" @submit.prevent="makeField(block.selector)">
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
</template>

<style scoped>
.line > input {
  flex: 0 1 220px;
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
</style>

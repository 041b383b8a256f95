<script setup lang="ts" generic="Item">
import Sortable from 'sortablejs'
import { nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import IconButton from './IconButton.vue'

defineOptions({ inheritAttrs: false })
/**
 * A list whose order is its owner's: by dragging or touch at the grip of a row, and by the two buttons of it, which
 * keys reach. Where a row went is said, too.
 */
const {
  items,
  keyOf,
  nameOf,
  label,
  canMove = () => true,
  canStep,
} = defineProps<{
  items: readonly Item[]
  /** What tells the rows apart. */
  keyOf: (item: Item, at: number) => string
  /** What a row is called where its buttons are. */
  nameOf: (item: Item) => string
  label: string
  /** Whether a row may take the place of another one; of every one, if nothing is said. */
  canMove?: (from: number, to: number) => boolean
  /** Where a step is more than a change of places, as in a tree: whether there is one. Then `step` is told. */
  canStep?: (at: number, by: 1 | -1) => boolean
}>()
const emit = defineEmits<{
  move: [from: number, to: number]
  step: [at: number, by: 1 | -1]
  /** The place of the row that is pointed at; -1 for none. */
  point: [at: number]
}>()
const list = ref<HTMLElement>()
const said = ref('')

function move(from: number, to: number) {
  const item = items[from]
  if (item === undefined || from === to || !canMove(from, to)) return
  said.value = `${nameOf(item)} is number ${to + 1} of ${items.length}`
  emit('move', from, to)
}
const mayStep = (at: number, by: 1 | -1) =>
  canStep ? canStep(at, by) : at + by >= 0 && at + by < items.length && canMove(at, at + by)
/** The button that moved a row stays at hand; at an end of the list the other one does. */
async function step(at: number, by: 1 | -1) {
  const item = items[at]
  if (item === undefined) return
  const key = keyOf(item, at)
  let to = at + by
  if (canStep) {
    emit('step', at, by)
    await nextTick()
    to = items.findIndex((one, n) => keyOf(one, n) === key)
    said.value = `${nameOf(item)} is number ${to + 1} of ${items.length}`
  } else {
    move(at, to)
    await nextTick()
  }
  const buttons = [...(list.value?.children[to]?.querySelectorAll<HTMLButtonElement>('.step') ?? [])]
  const pressed = buttons[by < 0 ? 0 : 1]
  ;(pressed?.disabled ? buttons.find(one => !one.disabled) : pressed)?.focus()
}

let sorting: Sortable | undefined
onMounted(() => {
  if (!list.value) return
  sorting = Sortable.create(list.value, {
    handle: '.grip',
    draggable: '.row',
    animation: 120,
    forceFallback: true,
    fallbackTolerance: 4,
    ghostClass: 'dropping',
    onMove: ({ dragged, related }) => canMove(at(dragged), at(related)),
    onEnd({ item, oldIndex, newIndex }) {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
      // The rows are Vue's to draw: what was dragged goes back, and comes where it is put by the change of the list.
      const rows = list.value!
      rows.insertBefore(item, rows.children[oldIndex < newIndex ? oldIndex : oldIndex + 1] ?? null)
      move(oldIndex, newIndex)
    },
  })
})
onBeforeUnmount(() => sorting?.destroy())
const at = (row: HTMLElement) => [...(list.value?.children ?? [])].indexOf(row)
</script>

<template>
  <ol ref="list" v-bind="$attrs" class="reorderable" :aria-label="label">
    <li
      v-for="(item, n) in items"
      :key="keyOf(item, n)"
      class="row"
      :aria-label="nameOf(item)"
      @mouseenter="emit('point', n)"
      @mouseleave="emit('point', -1)"
    >
      <slot name="above" :item="item" :at="n" />
      <div class="head">
        <span class="grip" title="Drag to another place" aria-hidden="true"><i class="pi pi-bars" /></span>
        <div class="what"><slot :item="item" :at="n" /></div>
        <slot name="before-steps" :item="item" :at="n" />
        <IconButton
          icon="arrow-up"
          class="step"
          :label="`Move ${nameOf(item)} up`"
          :disabled="!mayStep(n, -1)"
          @click="step(n, -1)"
        />
        <IconButton
          icon="arrow-down"
          class="step"
          :label="`Move ${nameOf(item)} down`"
          :disabled="!mayStep(n, 1)"
          @click="step(n, 1)"
        />
        <slot name="after-steps" :item="item" :at="n" />
      </div>
      <slot name="below" :item="item" :at="n" />
    </li>
  </ol>
  <span class="unseen" role="status">{{ said }}</span>
</template>

<style scoped>
.reorderable {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}
.row {
  padding: 3px 6px 3px 0;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: #fff;
}
.dropping {
  border-style: dashed;
  opacity: 0.6;
}
.head {
  display: flex;
  align-items: center;
  gap: 2px;
  min-height: 30px;
}
.grip {
  display: grid;
  place-items: center;
  flex: none;
  width: 28px;
  align-self: stretch;
  color: var(--quiet);
  cursor: grab;
  touch-action: none;
}
.grip i {
  font-size: 12px;
}
.what {
  flex: 1;
  min-width: 0;
}
</style>

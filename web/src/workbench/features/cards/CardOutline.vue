<script setup lang="ts">
import { computed } from 'vue'
import type { CardMaterial, CardPart, PartGroup } from '../../../shared/contract'
import IconButton from '../../kit/IconButton.vue'
import NameButton from '../../kit/NameButton.vue'
import ReorderableList from '../../kit/ReorderableList.vue'
import { movedTo, rowsOf, stepped, without, type OutlineRow } from './outline'
import { hintOf, nameOf } from './partNames'

/** The parts of a card, one in another, to be chosen, moved and taken away. */
const { materials } = defineProps<{ materials: readonly CardMaterial[] }>()
const body = defineModel<PartGroup>({ required: true })
const chosen = defineModel<string | null>('chosen', { required: true })
const rows = computed(() => rowsOf(body.value))
const name = (row: OutlineRow) => nameOf(row.part, materials)
function put(changed: PartGroup | null) {
  if (changed) body.value = changed
}
/** A card without a title is refused: neither that nor a group with it in is taken away. */
const holdsTitle = (part: CardPart): boolean =>
  part.part === 'title' || (part.part === 'group' && part.parts.some(holdsTitle))
const keyAt = (at: number) => rows.value[at]!.part.key
</script>

<template>
  <ReorderableList
    class="outline"
    :items="rows"
    :key-of="row => row.part.key"
    :name-of="name"
    label="Parts of the card"
    :can-move="(from, to) => movedTo(body, keyAt(from), keyAt(to)) !== null"
    :can-step="(at, by) => stepped(body, keyAt(at), by) !== null"
    @move="(from, to) => put(movedTo(body, keyAt(from), keyAt(to)))"
    @step="(at, by) => put(stepped(body, keyAt(at), by))"
  >
    <template #default="{ item: row }">
      <NameButton
        :name="name(row)"
        :line="hintOf(row.part, materials)"
        :open="chosen === row.part.key"
        :style="{ paddingInlineStart: `${4 + row.depth * 16}px` }"
        @click="chosen = chosen === row.part.key ? null : row.part.key"
      />
    </template>
    <template #after-steps="{ item: row }">
      <IconButton
        icon="trash"
        :label="`Take ${name(row)} away`"
        :disabled="holdsTitle(row.part)"
        @click="body = without(body, row.part.key)"
      />
    </template>
    <template #below="{ item: row }">
      <slot v-if="chosen === row.part.key" :part="row.part" />
    </template>
  </ReorderableList>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { CardMaterial, CardPart, PartGroup } from '../../../shared/contract'
import FoldingSection from '../../kit/FoldingSection.vue'
import { nameOf } from './partNames'

/** What can be added to a card, each with an example, and complete cards to begin from. */
const { materials, parts } = defineProps<{ materials: readonly CardMaterial[]; parts: readonly CardPart[] }>()
const emit = defineEmits<{ add: [part: CardPart]; begin: [body: PartGroup] }>()
/** A card has one title, which cannot be taken away. */
const plain = computed(() => parts.filter(part => part.part !== 'title'))
const fields = computed(() => {
  const byKey = new Map(materials.flatMap(one => one.fields).map(field => [field.part.field, field]))
  return [...byKey.values()]
})
const ready = computed(() => materials.flatMap(one => one.ready.map(card => ({ ...card, of: one.label }))))
const several = computed(() => materials.length > 1)
</script>

<template>
  <FoldingSection title="Add a part" :said="`${fields.length} fields`">
    <ul class="offers">
      <li v-for="field in fields" :key="field.part.field">
        <button type="button" @click="emit('add', field.part)">
          <b><span class="unseen">Add </span>{{ field.label }}</b
          >{{ ' ' }}
          <small class="quiet">{{ field.example }}</small>
        </button>
      </li>
      <li v-for="part in plain" :key="part.key">
        <button type="button" @click="emit('add', part)">
          <b><span class="unseen">Add </span>{{ nameOf(part, materials) }}</b>
        </button>
      </li>
    </ul>
  </FoldingSection>
  <FoldingSection title="Begin from a ready card" said="in place of all of this">
    <ul class="offers">
      <li v-for="card in ready" :key="`${card.of} ${card.name}`">
        <button type="button" @click="emit('begin', card.body)">
          <b>{{ card.name }}</b>
          <small v-if="several" class="quiet">with what {{ card.of }} has</small>
        </button>
      </li>
    </ul>
  </FoldingSection>
</template>

<style scoped>
.offers {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 6px;
}
.offers button {
  width: 100%;
  height: 100%;
  padding: 6px 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: #fff;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
}
.offers button:hover {
  border-color: var(--sea);
}
b {
  display: block;
  font-weight: 600;
}
small {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>

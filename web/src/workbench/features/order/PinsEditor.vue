<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, useId } from 'vue'
import type { CollectionShape, NamedItem, Pin } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
import ItemPicker from '../../kit/ItemPicker.vue'
import { api } from '../../ownerApi'
import PinCard from './PinCard.vue'
import { queriesIn, withPinned } from './pins'

/** Items at fixed places for a query, or taken out of it. */
const { search, collections } = defineProps<{ search: string; collections: readonly CollectionShape[] }>()
const emit = defineEmits<{ ask: [query: string] }>()
const pins = defineModel<Pin[]>({ required: true })
const id = useId()
const { data: featured } = useQuery({
  queryKey: ['reach', () => search, 'featured'],
  queryFn: () => api.featured(search),
  staleTime: 0,
})
/** A pin that does nothing any more goes. */
const change = (at: number, changed: Pin) => {
  pins.value = pins.value
    .map((pin, n) => (n === at ? changed : pin))
    .filter(pin => pin.put.length + pin.takeOut.length > 0)
}
const queries = ref('')
const picked = ref<NamedItem[]>([])
const isOut = ref(false)
const DOES = [
  { value: false, label: 'Put at the top' },
  { value: true, label: 'Take out' },
]
const asked = computed(() => queriesIn(queries.value))
function add() {
  const [first] = asked.value
  if (first === undefined || picked.value.length === 0) return
  pins.value = withPinned(pins.value, asked.value, picked.value, isOut.value)
  emit('ask', first)
  queries.value = ''
  picked.value = []
}
</script>

<template>
  <p class="lead">
    For one query, and near ways to write it, items stand at places of your choice, whatever the order says, or are
    taken out.
  </p>
  <PinCard
    v-for="(pin, at) in pins"
    :key="pin.queries.join()"
    :known="featured?.pinned"
    :model-value="pin"
    @update:model-value="change(at, $event)"
    @ask="emit('ask', pin.queries[0] ?? '')"
    @remove="pins = pins.filter((_, n) => n !== at)"
  />
  <form class="slip add" @submit.prevent="add">
    <div class="field">
      <label :for="`${id}-queries`">When visitors type</label>
      <InputText
        :id="`${id}-queries`"
        v-model="queries"
        size="small"
        placeholder="ferry, ferry times"
        aria-describedby="pin-ways"
      />
      <small id="pin-ways">Several with commas. Other forms of the words, slips and capitals are met as well.</small>
    </div>
    <ButtonChoice v-model="isOut" label="What the pin does" :options="DOES" />
    <ItemPicker v-model="picked" :search="search" :collections="collections" label="Items of the pin" />
    <Button type="submit" label="Pin" size="small" class="do" :disabled="asked.length === 0 || picked.length === 0" />
  </form>
</template>

<style scoped>
.slip {
  margin-top: 10px;
  padding: 10px 12px;
}
.add {
  display: grid;
  gap: 10px;
}
.do {
  justify-self: start;
}
</style>

<script setup lang="ts">
import { useDesignRules } from '../design-rules/useDesignRules'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import type { ResultOrder } from '../../../shared/contract'
import { usualTexts } from '../../../shared/usualTexts'
import IconButton from '../../kit/IconButton.vue'
import { moved } from '../../kit/moved'
import ReorderableList from '../../kit/ReorderableList.vue'
import TextField from '../../kit/TextField.vue'
import { keyFrom } from '../../kit/keyFrom'
import OrderKeys from './OrderKeys.vue'
import type { OrderOption } from './orders'

type Choice = ResultOrder['choices'][number]

/** Orders that visitors may choose in place of the usual one. */
const { order, options } = defineProps<{ order: ResultOrder; options: readonly OrderOption[] }>()
const emit = defineEmits<{ change: [part: string, changed: Partial<ResultOrder>] }>()
const { limit } = useDesignRules()
const longest = computed(() => limit('ranking.order.choices.label')?.most)
const put = (choices: Choice[], part = 'order.choices') => emit('change', part, { choices })
const change = (at: number, changed: Partial<Choice>) =>
  put(
    order.choices.map((choice, n) => (n === at ? { ...choice, ...changed } : choice)),
    `order.choice.${at}`,
  )
const isOffered = ({ key }: OrderOption) =>
  order.choices.some(
    ({ by }) => by.length === 1 && by[0]!.by === key.by && by[0]!.field === key.field && by[0]!.down === key.down,
  )
/** Ready to use: the first thing that no choice offers yet. */
const next = computed(() =>
  options.find(option => !['relevance', 'tier', 'place-in-tier'].includes(option.key.by) && !isOffered(option)),
)
function add() {
  if (!next.value) return
  const { label, key } = next.value
  const taken = order.choices.map(choice => choice.key)
  put([...order.choices, { key: keyFrom(label, taken), label: label.slice(0, longest.value), by: [key] }])
}
const text = (event: Event) => (event.target as HTMLInputElement).value.trim()
</script>

<template>
  <h2 id="choices" class="second">Visitors may choose</h2>
  <p v-if="order.choices.length === 0" class="quiet">Nothing yet: visitors see one order, and no menu for it.</p>
  <div v-else class="slip">
    <TextField
      label="They read for the order above"
      beside
      :maxlength="longest"
      :placeholder="usualTexts.bestFirst"
      :model-value="order.label"
      @update:model-value="emit('change', 'order.label', { label: $event })"
    />
  </div>
  <ReorderableList
    v-if="order.choices.length > 0"
    label="Orders to choose"
    :items="order.choices"
    :key-of="choice => choice.key"
    :name-of="choice => `the choice ${choice.label}`"
    @move="(from, to) => put(moved(order.choices, from, to))"
  >
    <template #default="{ item: choice, at }">
      <InputText
        size="small"
        :maxlength="longest"
        class="label"
        :model-value="choice.label"
        :aria-label="`What visitors read for ${choice.label}`"
        @change="text($event) && change(at, { label: text($event) })"
      />
    </template>
    <template #after-steps="{ item: choice, at }">
      <IconButton
        icon="times"
        :label="`Take the choice ${choice.label} away`"
        @click="put(order.choices.filter((_, n) => n !== at))"
      />
    </template>
    <template #below="{ item: choice, at }">
      <div class="keys">
        <OrderKeys
          :label="choice.label"
          :options="options"
          :model-value="choice.by"
          @update:model-value="change(at, { by: $event })"
        />
      </div>
    </template>
  </ReorderableList>
  <Button
    v-if="next && order.choices.length < (limit('ranking.order.choices')?.most ?? 0)"
    label="Add an order to choose"
    icon="pi pi-plus"
    size="small"
    severity="secondary"
    outlined
    class="more"
    @click="add"
  />
</template>

<style scoped>
.second {
  margin: 24px 0 0;
}
.slip {
  margin-top: 12px;
  padding: 12px 14px;
}
.more {
  margin-top: 12px;
}
.label {
  width: calc(100% - 6px);
}
.keys {
  padding: 6px 8px 6px 28px;
}
</style>

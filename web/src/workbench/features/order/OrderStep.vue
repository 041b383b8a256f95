<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { CollectionShape, ResultOrder, SearchSummary } from '../../../shared/contract'
import { usualTexts } from '../../../shared/usualTexts'
import { keyFrom } from '../filters/filters'
import { optionsFor } from './orders'
import FeaturedShares from './FeaturedShares.vue'
import OrderKeys from './OrderKeys.vue'
import PinsEditor from './PinsEditor.vue'
import TierList from './TierList.vue'
import type { DraftEditing } from '../searches/useDraft'

/** What comes first, and what stands out: the order, featured tiers, pins, and how much of a page is featured. */
const { draft, collections, summary } = defineProps<{
  draft: DraftEditing
  site: string
  search: string
  collections: readonly CollectionShape[]
  summary: SearchSummary | null
}>()
const emit = defineEmits<{ ask: [query: string] }>()
const views = [
  { value: 'order', label: 'Order' },
  { value: 'tiers', label: 'Tiers' },
  { value: 'pins', label: 'Pins' },
  { value: 'share', label: 'How much' },
]
const view = ref('order')
const route = useRoute()
watch(
  () => route.hash,
  part => {
    view.value = views.find(one => `#${one.value}` === part)?.value ?? (part === '#choices' ? 'order' : view.value)
  },
  { immediate: true },
)
const order = computed(() => draft.design.value!.order)
const remarks = computed(() => (summary?.remarks ?? []).filter(remark => remark.step === 'order'))
const searched = computed(() =>
  collections.filter(one => draft.design.value!.reach.collections.some(other => other.collection === one.key)),
)
const options = computed(() => optionsFor(searched.value))
function put(part: string, changed: Partial<ResultOrder>) {
  draft.change(part, design => ({ ...design, order: { ...design.order, ...changed } }))
}
type Choice = ResultOrder['choices'][number]
const MOST = 12
const change = (at: number, changed: Partial<Choice>) =>
  put(`order.choice.${at}`, {
    choices: order.value.choices.map((choice, n) => (n === at ? { ...choice, ...changed } : choice)),
  })
/** Ready to use: the first thing that no choice offers yet. */
const next = computed(() =>
  options.value.find(
    option =>
      !['relevance', 'tier', 'place-in-tier'].includes(option.key.by) &&
      !order.value.choices.some(
        choice =>
          choice.by.length === 1 &&
          choice.by[0]!.by === option.key.by &&
          choice.by[0]!.field === option.key.field &&
          choice.by[0]!.down === option.key.down,
      ),
  ),
)
function add() {
  if (!next.value) return
  const { label, key } = next.value
  put('order.choices', {
    choices: [
      ...order.value.choices,
      {
        key: keyFrom(
          label,
          order.value.choices.map(choice => choice.key),
        ),
        label: label.slice(0, 40),
        by: [key],
      },
    ],
  })
}
function move(at: number, by: number) {
  const moved = [...order.value.choices]
  const [one] = moved.splice(at, 1)
  if (one) moved.splice(at + by, 0, one)
  put('order.choices', { choices: moved })
}
const text = (event: Event) => (event.target as HTMLInputElement).value.trim()
</script>

<template>
  <h2>Order &amp; featured</h2>
  <SelectButton
    v-model="view"
    :options="views"
    option-label="label"
    option-value="value"
    :allow-empty="false"
    size="small"
    class="views"
    aria-label="What is decided here"
  />
  <p v-for="remark in remarks" :key="remark.text" class="remark" role="status">
    <i class="pi pi-info-circle" aria-hidden="true" />
    {{ remark.text }}
  </p>
  <template v-if="view === 'order'">
    <p class="lead">
      What comes first. Equals go on to the next key, and the last equals stand by their id, so that pages never repeat
      an item. What says nothing comes last.
    </p>
    <section class="slip">
      <h3>With words typed</h3>
      <OrderKeys
        label="Order with words"
        :options="options"
        :model-value="order.withWords"
        @update:model-value="put('order.withWords', { withWords: $event })"
      />
    </section>
    <section class="slip">
      <h3>Without words</h3>
      <OrderKeys
        label="Order without words"
        :options="options"
        :model-value="order.withoutWords"
        @update:model-value="put('order.withoutWords', { withoutWords: $event })"
      />
    </section>
    <h2 id="choices" class="second">Visitors may choose</h2>
    <p v-if="order.choices.length === 0" class="quiet">Nothing yet: visitors see one order, and no menu for it.</p>
    <div v-else class="slip own">
      <label for="own-order">They read for the order above</label>
      <InputText
        id="own-order"
        size="small"
        maxlength="40"
        :placeholder="usualTexts.bestFirst"
        :model-value="order.label"
        @change="put('order.label', { label: text($event) })"
      />
    </div>
    <section v-for="(choice, at) in order.choices" :key="choice.key" class="slip">
      <div class="head">
        <InputText
          size="small"
          maxlength="40"
          class="label"
          :model-value="choice.label"
          :aria-label="`What visitors read for ${choice.label}`"
          @change="text($event) && change(at, { label: text($event) })"
        />
        <Button
          icon="pi pi-arrow-up"
          text
          rounded
          size="small"
          severity="secondary"
          :disabled="at === 0"
          :aria-label="`Move the choice ${choice.label} up`"
          @click="move(at, -1)"
        />
        <Button
          icon="pi pi-arrow-down"
          text
          rounded
          size="small"
          severity="secondary"
          :disabled="at === order.choices.length - 1"
          :aria-label="`Move the choice ${choice.label} down`"
          @click="move(at, 1)"
        />
        <Button
          icon="pi pi-times"
          text
          rounded
          size="small"
          severity="secondary"
          :aria-label="`Take the choice ${choice.label} away`"
          @click="put('order.choices', { choices: order.choices.filter((_, n) => n !== at) })"
        />
      </div>
      <OrderKeys
        :label="choice.label"
        :options="options"
        :model-value="choice.by"
        @update:model-value="change(at, { by: $event })"
      />
    </section>
    <Button
      v-if="next && order.choices.length < MOST"
      label="Add an order to choose"
      icon="pi pi-plus"
      size="small"
      severity="secondary"
      outlined
      class="more"
      @click="add"
    />
  </template>
  <TierList
    v-else-if="view === 'tiers'"
    :site="site"
    :search="search"
    :collections="searched"
    :design="draft.design.value!"
    @change="draft.change"
  />
  <PinsEditor
    v-else-if="view === 'pins'"
    :search="search"
    :collections="collections"
    :model-value="draft.design.value!.pins"
    @update:model-value="draft.change('pins', design => ({ ...design, pins: $event }))"
    @ask="emit('ask', $event)"
  />
  <FeaturedShares
    v-else
    :search="search"
    :model-value="order.mostFeatured"
    @update:model-value="put('order.mostFeatured', { mostFeatured: $event })"
    @ask="emit('ask', $event)"
  />
</template>

<style scoped>
.views {
  margin: 10px 0 12px;
}
.remark {
  margin-top: 12px;
}
.slip {
  margin-top: 12px;
  padding: 12px 14px;
}
h3 {
  margin: 0 0 8px;
  font-size: 14.5px;
  font-weight: 650;
}
.second {
  margin: 24px 0 0;
}
.own {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  font-weight: 600;
  font-size: 13px;
}
.head {
  display: flex;
  align-items: center;
  gap: 2px;
  margin-bottom: 8px;
}
.head .label {
  flex: 1;
  margin-right: 6px;
}
.head :deep(.p-button) {
  width: 30px;
  height: 30px;
  padding: 0;
  flex: none;
}
.more {
  margin-top: 12px;
}
</style>

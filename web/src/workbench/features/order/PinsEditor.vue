<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, useId } from 'vue'
import type { CollectionShape, ItemRef, NamedItem, Pin } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import { api } from '../../ownerApi'
import ItemPicker from '../../kit/ItemPicker.vue'

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
const same = (a: ItemRef, b: ItemRef) => a.collection === b.collection && a.id === b.id
const known = (item: ItemRef) => featured.value?.pinned.find(one => same(one.item, item))
const title = (item: ItemRef) => known(item)?.title ?? (known(item) ? `${item.id} (gone)` : item.id)
const change = (at: number, changed: Partial<Pin>) => {
  pins.value = pins.value
    .map((pin, n) => (n === at ? { ...pin, ...changed } : pin))
    .filter(pin => pin.put.length + pin.takeOut.length > 0)
}
const queries = ref('')
const picked = ref<NamedItem[]>([])
const does = [
  { value: 'put', label: 'Put at the top' },
  { value: 'out', label: 'Take out' },
]
const what = ref('put')
const asked = computed(() =>
  queries.value
    .split(',')
    .map(query => query.trim())
    .filter(query => /[\p{L}\p{N}]/u.test(query)),
)
/** The first free place from the top on. */
function free(put: Pin['put']): number {
  for (let at = 1; ; at++) if (!put.some(one => one.at === at)) return at
}
function add() {
  if (asked.value.length === 0 || picked.value.length === 0) return
  const at = pins.value.findIndex(pin => pin.queries.some(query => asked.value.includes(query)))
  const before: Pin =
    at < 0
      ? { queries: asked.value, put: [], takeOut: [], until: null }
      : { ...pins.value[at]!, queries: [...new Set([...pins.value[at]!.queries, ...asked.value])] }
  const pin = picked.value.reduce<Pin>((made, { collection, id: item }) => {
    const one = { collection, id: item }
    const put = made.put.filter(other => !same(other.item, one))
    const takeOut = made.takeOut.filter(other => !same(other, one))
    return what.value === 'put'
      ? { ...made, put: [...put, { item: one, at: free(put) }], takeOut }
      : { ...made, put, takeOut: [...takeOut, one] }
  }, before)
  pins.value = at < 0 ? [...pins.value, pin] : pins.value.map((other, n) => (n === at ? pin : other))
  emit('ask', asked.value[0]!)
  queries.value = ''
  picked.value = []
}
/** Another item's place is changed with it, so that no two want the same. */
function move(at: number, put: Pin['put'][number], place: number | null) {
  if (place === null) return
  change(at, {
    put: pins.value[at]!.put.map(one =>
      one === put ? { ...one, at: place } : one.at === place ? { ...one, at: put.at } : one,
    ).sort((a, b) => a.at - b.at),
  })
}
const today = new Date().toISOString().slice(0, 10)
</script>

<template>
  <p class="lead">
    For one query, and near ways to write it, items stand at places of your choice, whatever the order says, or are
    taken out.
  </p>
  <section
    v-for="(pin, at) in pins"
    :key="pin.queries.join()"
    class="slip"
    :aria-label="`Pin for ${pin.queries.join(', ')}`"
  >
    <div class="head">
      <InputText
        size="small"
        class="queries"
        :model-value="pin.queries.join(', ')"
        :aria-label="`Queries of the pin for ${pin.queries[0]}`"
        @change="
          change(at, {
            queries: ($event.target as HTMLInputElement).value
              .split(',')
              .map(one => one.trim())
              .filter(Boolean),
          })
        "
      />
      <Button
        icon="pi pi-play"
        text
        rounded
        size="small"
        severity="secondary"
        title="Ask it on the stage"
        :aria-label="`Ask ${pin.queries[0]} on the stage`"
        @click="emit('ask', pin.queries[0]!)"
      />
      <Button
        icon="pi pi-times"
        text
        rounded
        size="small"
        severity="secondary"
        :aria-label="`Take the pin for ${pin.queries[0]} away`"
        @click="pins = pins.filter((_, n) => n !== at)"
      />
    </div>
    <ul>
      <li
        v-for="put in pin.put"
        :key="`${put.item.collection}/${put.item.id}`"
        :class="{ gone: known(put.item)?.title === null }"
      >
        <InputNumber
          :model-value="put.at"
          :min="1"
          :max="50"
          size="small"
          class="at"
          :aria-label="`Place of ${title(put.item)}`"
          @update:model-value="move(at, put, $event)"
        />
        <span>{{ title(put.item) }}</span>
        <Button
          icon="pi pi-times"
          text
          rounded
          size="small"
          severity="secondary"
          :aria-label="`Let ${title(put.item)} go`"
          @click="change(at, { put: pin.put.filter(one => one !== put) })"
        />
      </li>
      <li
        v-for="item in pin.takeOut"
        :key="`${item.collection}/${item.id}`"
        :class="{ gone: known(item)?.title === null }"
      >
        <span class="at out">
          <i class="pi pi-eye-slash" aria-hidden="true" />
          out
        </span>
        <span>{{ title(item) }}</span>
        <Button
          icon="pi pi-times"
          text
          rounded
          size="small"
          severity="secondary"
          :aria-label="`Let ${title(item)} in again`"
          @click="change(at, { takeOut: pin.takeOut.filter(one => one !== item) })"
        />
      </li>
    </ul>
    <label class="until">
      until
      <InputText
        type="date"
        size="small"
        :model-value="pin.until ?? ''"
        :aria-label="`Last day of the pin for ${pin.queries[0]}`"
        @change="change(at, { until: ($event.target as HTMLInputElement).value || null })"
      />
      <small v-if="pin.until !== null && pin.until < today" class="state">
        ended {{ formatDay(`${pin.until}T12:00`) }}
      </small>
    </label>
  </section>
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
    <SelectButton
      v-model="what"
      :options="does"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-label="What the pin does"
    />
    <ItemPicker v-model="picked" :search="search" :collections="collections" label="Items of the pin" />
    <Button type="submit" label="Pin" size="small" class="do" :disabled="asked.length === 0 || picked.length === 0" />
  </form>
</template>

<style scoped>
.slip {
  margin-top: 10px;
  padding: 10px 12px;
}
.head {
  display: flex;
  align-items: center;
  gap: 2px;
}
.queries {
  flex: 1;
  min-width: 0;
  font-weight: 600;
}
.head :deep(.p-button),
li :deep(.p-button) {
  width: 28px;
  height: 28px;
  padding: 0;
  flex: none;
}
ul {
  list-style: none;
  margin: 6px 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 3px 0;
  font-size: 13.5px;
}
li > span:not(.at) {
  flex: 1;
  min-width: 0;
}
.at {
  width: 46px;
  flex: none;
}
.at :deep(input) {
  width: 100%;
  padding: 3px 6px;
  text-align: center;
}
.out {
  color: var(--quiet);
  font-size: 12.5px;
}
.gone > span {
  color: var(--bad);
}
.until {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 13px;
  color: var(--quiet);
}
.until :deep(input) {
  padding: 4px 6px;
  font-size: 13px;
}
.state {
  color: var(--lamp-deep);
}
.add {
  display: grid;
  gap: 10px;
}
.do {
  justify-self: start;
}
</style>

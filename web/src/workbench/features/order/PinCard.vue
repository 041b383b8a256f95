<script setup lang="ts">
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import type { Featured, ItemRef, Pin } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import IconButton from '../../kit/IconButton.vue'
import { isSame, queriesIn, withPlace } from './pins'
import { useDesignRules } from '../design-rules/useDesignRules'

/** One pin: its queries, what it puts where, what it takes out, until when it holds. */
const { known } = defineProps<{
  /** What is known of the items that are pinned; undefined while nobody knows. */
  known: Featured['pinned'] | undefined
}>()
const emit = defineEmits<{ ask: []; remove: [] }>()
const pin = defineModel<Pin>({ required: true })
const change = (changed: Partial<Pin>) => {
  pin.value = { ...pin.value, ...changed }
}
const today = new Date().toISOString().slice(0, 10)
const first = computed(() => pin.value.queries[0] ?? '')
const keyOf = (item: ItemRef) => `${item.collection}/${item.id}`
const found = (item: ItemRef) => known?.find(one => isSame(one.item, item))
const isGone = (item: ItemRef) => found(item)?.title === null
const title = (item: ItemRef) => found(item)?.title ?? (found(item) ? `${item.id} (gone)` : item.id)
const typed = (event: Event) => (event.target as HTMLInputElement).value
const { limit } = useDesignRules()
</script>

<template>
  <section class="slip" :aria-label="`Pin for ${pin.queries.join(', ')}`">
    <div class="head">
      <InputText
        size="small"
        class="queries"
        :model-value="pin.queries.join(', ')"
        :aria-label="`Queries of the pin for ${first}`"
        @change="change({ queries: queriesIn(typed($event)) })"
      />
      <IconButton icon="play" title="Ask it on the stage" :label="`Ask ${first} on the stage`" @click="emit('ask')" />
      <IconButton icon="times" :label="`Take the pin for ${first} away`" @click="emit('remove')" />
    </div>
    <ul>
      <li v-for="put in pin.put" :key="keyOf(put.item)" :class="{ gone: isGone(put.item) }">
        <InputNumber
          :model-value="put.at"
          :min="limit('ranking.pins.put.at')?.least"
          :max="limit('ranking.pins.put.at')?.most"
          size="small"
          class="at"
          :aria-label="`Place of ${title(put.item)}`"
          @update:model-value="$event !== null && (pin = withPlace(pin, put, $event))"
        />
        <span>{{ title(put.item) }}</span>
        <IconButton
          icon="times"
          :label="`Let ${title(put.item)} go`"
          @click="change({ put: pin.put.filter(one => one !== put) })"
        />
      </li>
      <li v-for="item in pin.takeOut" :key="keyOf(item)" :class="{ gone: isGone(item) }">
        <span class="at out">
          <i class="pi pi-eye-slash" aria-hidden="true" />
          out
        </span>
        <span>{{ title(item) }}</span>
        <IconButton
          icon="times"
          :label="`Let ${title(item)} in again`"
          @click="change({ takeOut: pin.takeOut.filter(one => one !== item) })"
        />
      </li>
    </ul>
    <label class="until">
      until
      <InputText
        type="date"
        size="small"
        :model-value="pin.until ?? ''"
        :aria-label="`Last day of the pin for ${first}`"
        @change="change({ until: typed($event) || null })"
      />
      <small v-if="pin.until !== null && pin.until < today" class="state">
        ended {{ formatDay(`${pin.until}T12:00`) }}
      </small>
    </label>
  </section>
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
</style>

<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { computed } from 'vue'
import type { CollectionShape, ItemRow } from '../../../shared/contract'
import { formatDay, withDays } from '../../kit/format'

/** One item of a collection in a table, with the columns that the owner wants. */
const { item, collection, siteAddress } = defineProps<{
  item: ItemRow
  site: string
  collection: CollectionShape
  columns: readonly string[]
  /** That addresses from the root belong to. */
  siteAddress: string
}>()
const chosen = defineModel<string[]>({ required: true })
const kindOf = (key: string) => collection.fields.find(field => field.key === key)?.kind
const shown = (key: string) => (kindOf(key) === 'date' ? withDays(item.values[key] ?? '') : (item.values[key] ?? ''))
const isNumeric = (key: string) => kindOf(key) === 'number' || kindOf(key) === 'money'
const address = computed(() => (item.address?.startsWith('/') ? siteAddress + item.address : item.address))
</script>

<template>
  <tr :class="{ out: item.keptOut }">
    <td class="tick"><Checkbox v-model="chosen" :value="item.id" :aria-label="`Choose ${item.title}`" /></td>
    <td>
      <RouterLink :to="{ path: `/${site}/content/${collection.key}/item`, query: { id: item.id } }" class="title">{{
        item.title
      }}</RouterLink>
      <span v-if="item.keptOut" class="mark">
        <i class="pi pi-eye-slash" aria-hidden="true" />
        kept out
      </span>
      <a
        v-if="address"
        :href="address"
        target="_blank"
        rel="noopener"
        class="there"
        :aria-label="`Page of ${item.title}`"
        title="Open its page"
      >
        <i class="pi pi-external-link" aria-hidden="true" />
      </a>
    </td>
    <td>
      <code>{{ item.id }}</code>
    </td>
    <td v-for="key in columns" :key="key" :class="{ numeric: isNumeric(key) }">
      <span class="cell">{{ shown(key) }}</span>
    </td>
    <td>
      <span class="quiet nowrap">{{ formatDay(item.changed) }}</span>
    </td>
  </tr>
</template>

<style scoped>
.tick {
  width: 42px;
}
.numeric {
  text-align: end;
  font-variant-numeric: tabular-nums;
}
.title {
  font-weight: 600;
  color: inherit;
  text-decoration: none;
}
.title:hover {
  text-decoration: underline;
  color: var(--sea);
}
.there {
  margin-inline-start: 8px;
}
.there .pi {
  font-size: 11px;
}
.mark {
  margin-inline-start: 8px;
  font-size: 12.5px;
  color: var(--lamp-deep);
  white-space: nowrap;
}
.mark .pi {
  font-size: 12px;
}
.out .title {
  color: var(--quiet);
}
.cell {
  white-space: nowrap;
  display: inline-block;
  max-width: 220px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  vertical-align: bottom;
  font-size: 13.5px;
}
.nowrap {
  white-space: nowrap;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { CollectionShape, DesignChange, SearchDesign } from '../../../shared/contract'
import { tellerOf } from './changes'

/** Changes from one design to another, in the words of the screens. */
const { changes, design, collections } = defineProps<{
  changes: readonly DesignChange[]
  /** That names what keys stand for. */
  design: SearchDesign | null
  collections: readonly CollectionShape[]
  caption: string
  before: string
  after: string
}>()
const told = computed(() => changes.map(tellerOf(design, collections)))
</script>

<template>
  <table>
    <caption class="unseen">
      {{
        caption
      }}
    </caption>
    <thead>
      <tr>
        <th>What changes</th>
        <th>{{ before }}</th>
        <th>{{ after }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(one, n) in told" :key="n">
        <td>{{ one.what }}</td>
        <td class="quiet">{{ one.before }}</td>
        <td>
          <b>{{ one.after }}</b>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  margin-bottom: 12px;
}
th {
  text-align: start;
  font-size: 12.5px;
  color: var(--quiet);
  font-weight: 600;
}
th,
td {
  padding: 7px 12px 7px 0;
  border-bottom: 1px solid var(--line);
  overflow-wrap: anywhere;
}
</style>

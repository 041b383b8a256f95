<script setup lang="ts">
import { computed } from 'vue'
import type { Mapping, Preview } from '../../../shared/contract'
import RemarkLine from '../../kit/RemarkLine.vue'

/** The first items, as they would be. */
const { preview, mapping } = defineProps<{ preview: Preview; mapping: Mapping }>()
const MOST_FIELDS = 7
const MOST_ITEMS = 6
const fields = computed(() => mapping.fields.slice(0, MOST_FIELDS))
const problems = computed(() => preview.items.filter(item => item.problem !== null).length)
</script>

<template>
  <h3>The first items, as they would be</h3>
  <RemarkLine v-if="problems > 0" bad>
    {{ problems === 1 ? 'One of them would be refused.' : `${problems} of them would be refused.` }} The reason stands
    in its row; correct a kind, or untick the column.
  </RemarkLine>
  <div class="framed-table" tabindex="0" role="region" aria-label="The first items">
    <table aria-label="The first items">
      <thead>
        <tr>
          <th>Id</th>
          <th v-for="field in fields" :key="field.property">{{ field.label }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="item in preview.items.slice(0, MOST_ITEMS)" :key="item.at">
          <template v-if="item.problem === null">
            <td>
              <code>{{ item.id }}</code>
            </td>
            <td v-for="field in fields" :key="field.property">
              <span class="cell">{{ item.values[field.property] ?? '' }}</span>
            </td>
          </template>
          <td v-else :colspan="fields.length + 1" class="wrong">{{ item.at }}: {{ item.problem }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.cell {
  display: block;
  max-width: 190px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 13px;
}
code {
  white-space: nowrap;
}
</style>

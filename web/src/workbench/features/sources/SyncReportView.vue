<script setup lang="ts">
import { computed, ref } from 'vue'
import SelectButton from 'primevue/selectbutton'
import type { SyncReport } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'

/** What became of the items of one run, with the reason for each. */
const { report, site, collection } = defineProps<{ report: SyncReport; site: string; collection: string }>()
type Which = 'added' | 'changed' | 'removed' | 'refused'
const counts = computed(
  () =>
    [
      ['added', report.added],
      ['changed', report.changed],
      ['unchanged', report.unchanged],
      ['removed', report.removed],
      ['refused', report.refused],
    ] as const,
)
const lists = computed(() =>
  (['refused', 'removed', 'changed', 'added'] as const)
    .filter(which => report[which] > 0)
    .map(which => ({
      value: which,
      label: `${which.charAt(0).toUpperCase() + which.slice(1)} ${formatNumber(report[which])}`,
    })),
)
const picked = ref<Which | null>(null)
const which = computed<Which | null>(() =>
  picked.value !== null && lists.value.some(one => one.value === picked.value)
    ? picked.value
    : (lists.value[0]?.value ?? null),
)
const changes = computed(() => report.changes.filter(change => change.what === which.value))
const SHOWN = 100
</script>

<template>
  <dl class="counts">
    <div
      v-for="[name, count] in counts"
      :key="name"
      :class="{ none: count === 0, bad: name === 'refused' && count > 0 }"
    >
      <dt>{{ name }}</dt>
      <dd class="number">{{ formatNumber(count) }}</dd>
    </div>
  </dl>
  <p v-for="note in report.notes" :key="note" class="remark">
    <i class="pi pi-info-circle" aria-hidden="true" />
    {{ note }}
  </p>
  <p v-if="report.newFields.length > 0" class="quiet">
    New fields: {{ report.newFields.map(field => `${field.label} (${field.kind})`).join(', ') }}.
  </p>
  <p v-for="one in report.passedOver" :key="one.property" class="remark">
    <i class="pi pi-info-circle" aria-hidden="true" />
    “{{ one.property }}” was passed over: {{ one.reason }}.
  </p>
  <template v-if="which">
    <SelectButton
      v-if="lists.length > 1"
      :model-value="which"
      :options="lists"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      aria-label="Which items to list"
      @update:model-value="picked = $event"
    />
    <div class="scroll" tabindex="0" role="region" :aria-label="`Items ${which}`">
      <table>
        <thead>
          <tr>
            <th>{{ which === 'refused' ? 'Where' : 'Item' }}</th>
            <th v-if="which === 'refused'">Column</th>
            <th v-if="which !== 'added'">{{ which === 'changed' ? 'What changed' : 'Why' }}</th>
          </tr>
        </thead>
        <tbody v-if="which === 'refused'">
          <tr v-for="(one, n) in report.refusals.slice(0, SHOWN)" :key="n">
            <td class="at">
              {{ one.at ?? `line ${one.line}` }}
              <template v-if="one.id">
                ·
                <code>{{ one.id }}</code>
              </template>
            </td>
            <td>
              <code v-if="one.property">{{ one.property }}</code>
            </td>
            <td>{{ one.reason }}</td>
          </tr>
        </tbody>
        <tbody v-else>
          <tr v-for="one in changes.slice(0, SHOWN)" :key="one.id">
            <td>
              <RouterLink
                v-if="which !== 'removed'"
                :to="{ path: `/${site}/content/${collection}/item`, query: { id: one.id } }"
              >
                {{ one.title }}
              </RouterLink>
              <b v-else>{{ one.title }}</b>{{ ' ' }}
              <code class="quiet">{{ one.id }}</code>
            </td>
            <td v-if="which !== 'added'" class="quiet">{{ one.reason }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p
      v-if="report[which] > Math.min(SHOWN, which === 'refused' ? report.refusals.length : changes.length)"
      class="quiet"
    >
      The first {{ Math.min(SHOWN, which === 'refused' ? report.refusals.length : changes.length) }} of
      {{ counted(report[which], 'item') }}.
    </p>
  </template>
</template>

<style scoped>
.counts {
  display: flex;
  gap: 8px;
  margin: 0;
  flex-wrap: wrap;
}
.counts > div {
  min-width: 104px;
  padding: 8px 14px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--leaf);
}
dt {
  font-size: 12.5px;
  color: var(--quiet);
}
dd {
  margin: 0;
  font-size: 20px;
  font-weight: 650;
}
.none dd {
  color: var(--quiet);
  font-weight: 500;
}
.bad dd {
  color: var(--bad);
}
.scroll {
  overflow: auto;
  max-height: 420px;
  border: 1px solid var(--line);
  border-radius: 8px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: start;
  padding: 8px 12px;
  font-weight: 600;
  font-size: 13px;
  background: var(--leaf);
  border-bottom: 1px solid var(--line);
  position: sticky;
  top: 0;
}
td {
  padding: 7px 12px;
  border-bottom: 1px solid var(--line);
  font-size: 13.5px;
}
tr:last-child td {
  border-bottom: 0;
}
.at {
  overflow-wrap: anywhere;
  max-width: 300px;
}
</style>

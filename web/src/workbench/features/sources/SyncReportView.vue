<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SyncReport } from '../../../shared/contract'
import ButtonChoice from '../../kit/ButtonChoice.vue'
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
    <ButtonChoice
      v-if="lists.length > 1"
      label="Which items to list"
      :options="lists"
      :model-value="which"
      @update:model-value="picked = $event"
    />
    <div class="framed-table items" tabindex="0" role="region" :aria-label="`Items ${which}`">
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
.items {
  max-height: 420px;
  overflow: auto;
  font-size: 13.5px;
}
th {
  position: sticky;
  top: 0;
}
.at {
  overflow-wrap: anywhere;
  max-width: 300px;
}
</style>

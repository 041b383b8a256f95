<script setup lang="ts">
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref, useId } from 'vue'
import type { CollectionShape, ReachRule, Tier, TierFigures, TierHolders } from '../../../shared/contract'
import RuleForm from '../what-is-searched/RuleForm.vue'
import TierLooksEditor from './TierLooksEditor.vue'
import TierPlacements from './TierPlacements.vue'

/** One featured tier: what it does, who holds it, how it looks. */
const { site, search, collections, figures } = defineProps<{
  site: string
  search: string
  collections: readonly CollectionShape[]
  figures: TierFigures | undefined
}>()
const tier = defineModel<Tier>({ required: true })
const id = useId()
const USUAL_MOST = 3
const does = [
  { value: true, label: 'Lifts to the top' },
  { value: false, label: 'Only marks' },
]
const put = (changed: Partial<Tier>) => {
  tier.value = { ...tier.value, ...changed }
}
const putLift = (changed: Partial<NonNullable<Tier['lift']>>) => {
  if (tier.value.lift) put({ lift: { ...tier.value.lift, ...changed } })
}
const parts = [
  { value: 'does', label: 'What it does' },
  { value: 'holders', label: 'Who holds it' },
  { value: 'looks', label: 'How it looks' },
]
const part = ref('does')
const adding = ref<string | null>(null)
const of = ref<string | null>(null)
const choices = computed(() => collections.map(one => ({ key: one.key, label: one.label })))
function addRuleOf(collection: string) {
  adding.value = collection
  of.value = null
}
function add(rule: ReachRule) {
  const holders: TierHolders = { collection: adding.value, rule }
  if (!tier.value.holders.some(one => JSON.stringify(one) === JSON.stringify(holders)))
    put({ holders: [...tier.value.holders, holders] })
  adding.value = null
}
function said({ collection, rule }: TierHolders): string {
  const known = collections.find(one => one.key === collection)
  const field = collections.flatMap(one => one.fields).find(one => one.key === rule.field)
  const what =
    rule.field !== null
      ? `${field?.label ?? rule.field}: ${rule.value?.split('/').join(' › ')}`
      : rule.author !== null
        ? `Author: ${rule.author}`
        : rule.item !== null
          ? `Item: ${rule.item}`
          : `Address: ${rule.address}`
  return `${known?.label ?? collection ?? 'All'} · ${what}`
}
</script>

<template>
  <div class="tier">
    <SelectButton
      v-model="part"
      :options="parts"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      :aria-label="`Settings of ${tier.name}`"
    />
    <template v-if="part === 'does'">
      <div class="field">
        <label :for="`${id}-name`">Name, for you</label>
        <InputText
          :id="`${id}-name`"
          size="small"
          maxlength="40"
          :model-value="tier.name"
          @change="
            ($event.target as HTMLInputElement).value.trim() &&
            put({ name: ($event.target as HTMLInputElement).value.trim() })
          "
        />
      </div>
      <SelectButton
        :model-value="tier.lift !== null"
        :options="does"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="What the tier does"
        @update:model-value="put({ lift: $event ? { most: USUAL_MOST, mostLive: 1, turns: 'by-day' } : null })"
      />
      <template v-if="tier.lift">
        <div class="numbers">
          <label :for="`${id}-most`">At most in a list</label>
          <InputNumber
            :input-id="`${id}-most`"
            :model-value="tier.lift.most"
            :min="1"
            :max="100"
            size="small"
            show-buttons
            placeholder="all"
            @update:model-value="putLift({ most: $event })"
          />
          <label :for="`${id}-live`">At most in live results</label>
          <InputNumber
            :input-id="`${id}-live`"
            :model-value="tier.lift.mostLive"
            :min="0"
            :max="100"
            size="small"
            show-buttons
            placeholder="as many"
            @update:model-value="putLift({ mostLive: $event })"
          />
        </div>
        <small class="quiet">
          The others of the tier stand where the rest of the order puts them, and keep its looks. An empty field sets no
          limit.
        </small>
        <div class="pair">
          <ToggleSwitch
            :input-id="`${id}-turns`"
            :model-value="tier.lift.turns === 'by-day'"
            @update:model-value="putLift({ turns: $event ? 'by-day' : 'none' })"
          />
          <label :for="`${id}-turns`">
            <b>Equals take turns by day</b>
            <small class="quiet">the same for all visitors on a day, and fair over a month</small>
          </label>
        </div>
      </template>
      <div class="pair">
        <ToggleSwitch
          :input-id="`${id}-paid`"
          :model-value="tier.disclosure !== null"
          @update:model-value="put({ disclosure: $event ? 'Paid placement' : null })"
        />
        <label :for="`${id}-paid`">
          <b>It is paid for</b>
          <small class="quiet">and visitors read so on the card</small>
        </label>
      </div>
      <div v-if="tier.disclosure !== null" class="field">
        <label :for="`${id}-says`">They read</label>
        <InputText
          :id="`${id}-says`"
          size="small"
          maxlength="60"
          :model-value="tier.disclosure"
          @change="
            ($event.target as HTMLInputElement).value.trim() &&
            put({ disclosure: ($event.target as HTMLInputElement).value.trim() })
          "
        />
      </div>
    </template>
    <template v-else-if="part === 'holders'">
      <h4>By what items say</h4>
      <ul v-if="tier.holders.length > 0">
        <li v-for="(one, n) in tier.holders" :key="said(one)">
          <span>{{ said(one) }}</span>
          <Button
            icon="pi pi-times"
            text
            rounded
            size="small"
            severity="secondary"
            :aria-label="`Take the rule ${said(one)} away`"
            @click="put({ holders: tier.holders.filter((_, at) => at !== n) })"
          />
        </li>
      </ul>
      <RuleForm
        v-if="adding !== null"
        :key="adding"
        picks
        :site="site"
        :collection="collections.find(one => one.key === adding)!"
        @add="(_, rule) => add(rule)"
        @close="adding = null"
      />
      <Select
        v-else
        v-model="of"
        :options="choices"
        option-label="label"
        option-value="key"
        size="small"
        placeholder="Add a rule for items of…"
        aria-label="Add a rule for items of a collection"
        class="of"
        @update:model-value="addRuleOf"
      />
      <h4>By hand</h4>
      <TierPlacements :site="site" :search="search" :tier="tier.key" :collections="collections" />
    </template>
    <TierLooksEditor v-else :model-value="tier.looks" :figures="figures" @update:model-value="put({ looks: $event })" />
  </div>
</template>

<style scoped>
.tier {
  display: grid;
  gap: 10px;
  padding-top: 10px;
}
.numbers {
  display: grid;
  grid-template-columns: 1fr 104px;
  gap: 6px 10px;
  align-items: center;
  font-size: 13px;
}
.numbers :deep(input) {
  width: 100%;
}
.pair {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 36px;
  font-size: 13.5px;
}
.pair > :deep(.p-toggleswitch) {
  flex: none;
}
.pair small {
  display: block;
  font-size: 12.5px;
}
h4 {
  margin: 2px 0 -2px;
  font-size: 13px;
  font-weight: 650;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding: 2px 0;
  font-size: 13.5px;
  border-bottom: 1px solid var(--line);
}
li :deep(.p-button) {
  width: 28px;
  height: 28px;
  padding: 0;
}
.of {
  justify-self: start;
}
</style>

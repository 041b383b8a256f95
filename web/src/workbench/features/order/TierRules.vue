<script setup lang="ts">
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { CollectionShape, ReachRule, TierHolders } from '../../../shared/contract'
import IconButton from '../../kit/IconButton.vue'
import RuleForm from '../what-is-searched/RuleForm.vue'
import { ruleSaid } from './tiers'

/** Who holds a tier by what items say: rules, one of which is enough. */
const { site, collections } = defineProps<{ site: string; collections: readonly CollectionShape[] }>()
const holders = defineModel<TierHolders[]>({ required: true })
/** The collection whose rule is being written; null for none. */
const adding = ref<string | null>(null)
const chosen = ref<string | null>(null)
const choices = computed(() => collections.map(one => ({ key: one.key, label: one.label })))
function begin(collection: string) {
  adding.value = collection
  chosen.value = null
}
function add(rule: ReachRule) {
  const added: TierHolders = { collection: adding.value, rule }
  if (!holders.value.some(one => JSON.stringify(one) === JSON.stringify(added)))
    holders.value = [...holders.value, added]
  adding.value = null
}
const said = (one: TierHolders) => ruleSaid(one, collections)
</script>

<template>
  <ul v-if="holders.length > 0" class="entries">
    <li v-for="(one, n) in holders" :key="said(one)">
      <span>{{ said(one) }}</span>
      <IconButton
        icon="times"
        :label="`Take the rule ${said(one)} away`"
        @click="holders = holders.filter((_, at) => at !== n)"
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
    v-model="chosen"
    :options="choices"
    option-label="label"
    option-value="key"
    size="small"
    placeholder="Add a rule for items of…"
    aria-label="Add a rule for items of a collection"
    class="of"
    @update:model-value="begin"
  />
</template>

<style scoped>
.of {
  justify-self: start;
}
</style>

<script setup lang="ts">
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed, nextTick, ref, watch } from 'vue'
import type { NamedItem, Trial } from '../../../shared/contract'
import ItemField from '../../kit/ItemField.vue'
import { api } from '../../ownerApi'

/** One trial, written by hand or changed. */
const { search, busy, given } = defineProps<{
  search: string
  busy: boolean
  /** What to begin with; a trial that is kept already is changed. */
  given: { id: number | null; trial: Trial; title: string | null }
}>()
const emit = defineEmits<{ keep: [trial: Trial]; cancel: [] }>()

type Choice = 'first' | 'within' | 'at-least' | 'at-most' | 'nothing' | 'suggests'
const choices: { value: Choice; label: string }[] = [
  { value: 'first', label: 'an item comes first' },
  { value: 'within', label: 'an item is within the first' },
  { value: 'at-least', label: 'at least so many results' },
  { value: 'at-most', label: 'at most so many results' },
  { value: 'nothing', label: 'nothing is found' },
  { value: 'suggests', label: '“Did you mean …?” is asked' },
]
const query = ref('')
const choice = ref<Choice>('within')
const number = ref<number | null>(3)
const item = ref<NamedItem | string | null>(null)
const suggestion = ref('')
const box = ref<HTMLElement>()

watch(
  () => given,
  ({ trial, title }) => {
    query.value = trial.query
    choice.value =
      trial.expects === 'within' && trial.number === 1
        ? 'first'
        : trial.expects === 'at-most' && trial.number === 0
          ? 'nothing'
          : trial.expects
    number.value = trial.number ?? 3
    item.value =
      trial.collection !== null && trial.item !== null
        ? { collection: trial.collection, id: trial.item, title: title ?? trial.item }
        : null
    suggestion.value = trial.suggestion ?? ''
    void nextTick(() => box.value?.querySelector('input')?.focus())
  },
  { immediate: true },
)

const wantsItem = computed(() => choice.value === 'first' || choice.value === 'within')
const wantsNumber = computed(
  () => choice.value === 'within' || choice.value === 'at-least' || choice.value === 'at-most',
)
const picked = computed(() => (item.value !== null && typeof item.value === 'object' ? item.value : null))
const ready = computed(
  () =>
    query.value.trim() !== '' &&
    (!wantsItem.value || picked.value !== null) &&
    (!wantsNumber.value || number.value !== null) &&
    (choice.value !== 'suggests' || suggestion.value.trim() !== ''),
)
function keep() {
  if (!ready.value) return
  const expects = choice.value === 'first' ? 'within' : choice.value === 'nothing' ? 'at-most' : choice.value
  emit('keep', {
    query: query.value.trim(),
    expects,
    collection: wantsItem.value ? picked.value!.collection : null,
    item: wantsItem.value ? picked.value!.id : null,
    number: choice.value === 'first' ? 1 : choice.value === 'nothing' ? 0 : wantsNumber.value ? number.value : null,
    suggestion: choice.value === 'suggests' ? suggestion.value.trim() : null,
  })
}
</script>

<template>
  <form
    ref="box"
    class="slip"
    :aria-label="given.id === null ? 'A new trial' : 'Change the trial'"
    @submit.prevent="keep"
  >
    <div class="field">
      <label for="trial-query">Visitors type</label>
      <InputText id="trial-query" v-model="query" size="small" maxlength="200" />
    </div>
    <div class="field">
      <label for="trial-expects">What should be</label>
      <Select
        v-model="choice"
        input-id="trial-expects"
        :options="choices"
        option-label="label"
        option-value="value"
        size="small"
        aria-label="What is expected"
      />
    </div>
    <div v-if="wantsNumber" class="field small">
      <label for="trial-number">{{ choice === 'within' ? 'Places' : 'Results' }}</label>
      <InputNumber
        v-model="number"
        input-id="trial-number"
        :min="1"
        :max="choice === 'within' ? 100 : 1000000"
        size="small"
        fluid
      />
    </div>
    <div v-if="wantsItem" class="field wide">
      <label for="trial-item">Item</label>
      <ItemField
        v-model="item"
        input-id="trial-item"
        placeholder="By its title"
        :offer="typed => api.anyItems(search, typed)"
      />
    </div>
    <div v-if="choice === 'suggests'" class="field wide">
      <label for="trial-suggestion">This query</label>
      <InputText id="trial-suggestion" v-model="suggestion" size="small" maxlength="200" />
    </div>
    <div class="line">
      <Button
        type="submit"
        :label="given.id === null ? 'Keep' : 'Change'"
        size="small"
        :disabled="!ready"
        :loading="busy"
      />
      <Button type="button" label="Not now" size="small" severity="secondary" text @click="$emit('cancel')" />
    </div>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 12px;
  padding: 14px 16px;
}
.field {
  flex: 1 1 170px;
}
.field.small {
  flex: 0 0 84px;
}
.field.wide {
  flex: 1 1 100%;
}
</style>

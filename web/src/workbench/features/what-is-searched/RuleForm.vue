<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, watch } from 'vue'
import type { CollectionShape, ReachRule } from '../../../shared/contract'
import { counted } from '../../kit/format'
import { api } from '../../ownerApi'

/** One rule about items of a collection, from what it does over what it looks at to the value. */
const {
  site,
  collection,
  picks = false,
} = defineProps<{
  site: string
  collection: CollectionShape
  /** Whether the rule only picks items, by yes or no too, so that there is nothing to say of what it does. */
  picks?: boolean
}>()
const emit = defineEmits<{ add: [part: 'only' | 'leaveOut', rule: ReachRule]; close: [] }>()
const SUGGESTED = 12
const part = ref<'only' | 'leaveOut'>('leaveOut')
const parts = [
  { value: 'leaveOut', label: 'Leave out' },
  { value: 'only', label: 'Let in only' },
]
const hasAuthor = computed(() => collection.fields.some(field => field.key === 'author'))
const subjects = computed(() => [
  ...collection.fields
    .filter(field => field.kind === 'category' && field.key !== 'author')
    .map(field => ({ value: `field ${field.key}`, label: field.label })),
  ...collection.fields
    .filter(field => picks && field.kind === 'yes-no')
    .map(field => ({ value: `field ${field.key}`, label: field.label })),
  ...(hasAuthor.value ? [{ value: 'author', label: 'Author' }] : []),
  { value: 'address', label: 'Address' },
  { value: 'item', label: 'One item' },
])
const subject = ref(subjects.value[0]?.value ?? 'address')

interface Choice {
  value: string
  label: string
  note: string
}
const choices = ref<Choice[]>([])
const picked = ref<Choice | string | null>(null)
const pattern = ref('')
watch(subject, () => {
  picked.value = null
  choices.value = []
  pattern.value = ''
})

async function offer(words: string) {
  const asked = subject.value
  const yesNo =
    asked.startsWith('field ') &&
    collection.fields.some(field => field.kind === 'yes-no' && field.key === asked.slice('field '.length))
  const found: Choice[] = yesNo
    ? [
        { value: 'yes', label: 'Yes', note: '' },
        { value: 'no', label: 'No', note: '' },
      ]
    : asked === 'item'
      ? (
          await api.items(
            site,
            collection.key,
            new URLSearchParams({ q: words, page: '1', perPage: String(SUGGESTED) }),
          )
        ).items.map(item => ({ value: item.id, label: item.title, note: item.id }))
      : (await api.values(site, collection.key, asked === 'author' ? 'author' : asked.slice('field '.length), words))
          .slice(0, 100)
          .map(one => ({ value: one.value, label: one.names.join(' › '), note: counted(one.count, 'item') }))
  if (asked === subject.value) choices.value = found
}
const none: ReachRule = { field: null, value: null, author: null, item: null, address: null }
const rule = computed<ReachRule | null>(() => {
  if (subject.value === 'address')
    return /^(\/|\*|https?:)\S*$/.test(pattern.value.trim()) ? { ...none, address: pattern.value.trim() } : null
  const choice = picked.value
  if (choice === null || typeof choice === 'string') return null
  if (subject.value === 'author') return { ...none, author: choice.value }
  return subject.value === 'item'
    ? { ...none, item: choice.value }
    : { ...none, field: subject.value.slice('field '.length), value: choice.value }
})
function add() {
  if (rule.value) emit('add', part.value, rule.value)
}
</script>

<template>
  <form class="rule" @submit.prevent="add" @keydown.esc="emit('close')">
    <SelectButton
      v-if="!picks"
      v-model="part"
      :options="parts"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-label="What the rule does"
    />
    <div class="line">
      <Select
        v-model="subject"
        :options="subjects"
        option-label="label"
        option-value="value"
        size="small"
        aria-label="What the rule looks at"
      />
      <InputText
        v-if="subject === 'address'"
        v-model="pattern"
        size="small"
        placeholder="/journal/drafts/*"
        aria-label="Pattern of addresses"
      />
      <AutoComplete
        v-else
        v-model="picked"
        :suggestions="choices"
        option-label="label"
        :delay="120"
        :min-length="0"
        dropdown
        complete-on-focus
        force-selection
        size="small"
        :placeholder="subject === 'item' ? 'Type its title' : 'Choose a value'"
        :pt="{
          pcInputText: { root: { 'aria-label': subject === 'item' ? 'Item' : 'Value' } },
          dropdown: { 'aria-label': 'Show the values' },
          listContainer: { tabindex: 0 },
        }"
        @complete="offer($event.query)"
      >
        <template #option="{ option }">
          <span class="option">
            {{ option.label }}
            <small class="quiet">{{ option.note }}</small>
          </span>
        </template>
        <template #empty><span class="quiet">Nothing has that.</span></template>
      </AutoComplete>
    </div>
    <small v-if="subject === 'address'" class="quiet">
      From the site’s root;
      <code>*</code>
      stands for anything.
    </small>
    <small v-else-if="subject.startsWith('field')" class="quiet">With everything below it.</small>
    <div class="line end">
      <Button label="Cancel" text size="small" severity="secondary" @click="emit('close')" />
      <Button type="submit" label="Add" size="small" :disabled="rule === null" />
    </div>
  </form>
</template>

<style scoped>
.rule {
  display: grid;
  gap: 8px;
  margin: 10px 0 4px;
  padding: 12px;
  background: var(--paper);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.line > :deep(.p-autocomplete) {
  flex: 1;
  min-width: 0;
}
.line :deep(.p-autocomplete-input) {
  width: 100%;
  min-width: 0;
}
.line > :first-child {
  max-width: 45%;
}
.line.end {
  justify-content: flex-end;
}
.line.end > :first-child {
  max-width: none;
}
.option {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  width: 100%;
}
</style>

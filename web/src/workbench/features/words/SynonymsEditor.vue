<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'
import type { Synonym } from '../../../shared/contract'
import { counted } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'
import TableFiles from '../../kit/TableFiles.vue'

/** Words that stand for one another: groups that hold both ways, and entries that hold from one word only. */
const { search } = defineProps<{ search: string }>()
const synonyms = defineModel<readonly Synonym[]>({ required: true })
const SHOWN = 40
const filter = ref('')
const shown = computed(() =>
  synonyms.value
    .map((entry, n) => ({ entry, n }))
    .filter(({ entry }) => said(entry).toLowerCase().includes(filter.value.trim().toLowerCase()))
    .slice(0, SHOWN),
)
const ways = [
  { value: false, label: 'Mean the same' },
  { value: true, label: 'One finds the others' },
]
const oneWay = ref(false)
const from = ref('')
const words = ref('')
const parts = computed(() => [
  ...new Set(
    words.value
      .split(',')
      .map(word => word.trim())
      .filter(Boolean),
  ),
])
const ready = computed(() =>
  oneWay.value ? from.value.trim() !== '' && parts.value.length > 0 : parts.value.length > 1,
)
function said(entry: Synonym): string {
  return entry.from === null ? entry.words.join(' = ') : `${entry.from} → ${entry.words.join(', ')}`
}
function add() {
  if (!ready.value) return
  synonyms.value = [{ from: oneWay.value ? from.value.trim() : null, words: parts.value }, ...synonyms.value]
  from.value = ''
  words.value = ''
}
const { data: effects } = useQuery({
  queryKey: ['reach', () => search, 'synonym-effects'],
  queryFn: () => api.synonymEffects(search),
  staleTime: 0,
})
/** What an entry does for the trials; nothing where none brings it into play. */
function adds(entry: Synonym): string {
  const effect = effects.value?.find(one => said(one.synonym) === said(entry))
  if (!effect) return ''
  const items = effect.items === 0 ? 'no result more' : `${counted(effect.items, 'result')} more`
  return `${items} in ${counted(effect.queries.length, 'trial query', 'trial queries')}${effect.saved > 0 ? `, keeps ${counted(effect.saved, 'trial')}` : ''}`
}
const { wrong, attempt } = useAttempt()
const result = ref('')
const readIn = (csv: string) =>
  attempt(async () => {
    const read = await api.readSynonyms(csv)
    const known = new Set(synonyms.value.map(said))
    const added = read.synonyms.filter(entry => !known.has(said(entry)))
    const passedOver = read.passedOver + read.synonyms.length - added.length
    synonyms.value = [...synonyms.value, ...added]
    result.value = `${counted(added.length, 'entry', 'entries')} read${passedOver > 0 ? `; ${counted(passedOver, 'row')} passed over, since they stand there already` : ''}.`
  })
</script>

<template>
  <form class="adding" @submit.prevent="add">
    <SelectButton
      v-model="oneWay"
      :options="ways"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      size="small"
      aria-label="How the entry holds"
    />
    <div class="line">
      <InputText v-if="oneWay" v-model="from" size="small" placeholder="Who types this" aria-label="Who types this" />
      <InputText
        v-model="words"
        size="small"
        :placeholder="oneWay ? 'finds these too, commas between' : 'couch, sofa, settee'"
        :aria-label="oneWay ? 'Finds these too' : 'Words that mean the same'"
      />
      <Button type="submit" label="Add" size="small" :disabled="!ready" />
    </div>
  </form>
  <InputText
    v-if="synonyms.length > 8"
    v-model="filter"
    size="small"
    type="search"
    placeholder="Find an entry"
    aria-label="Find an entry"
    class="filter"
  />
  <ul v-if="synonyms.length > 0" class="entries" aria-label="Synonyms">
    <li v-for="{ entry, n } in shown" :key="said(entry)">
      <span>
        {{ said(entry) }}
        <small v-if="adds(entry)" class="quiet">{{ adds(entry) }}</small>
      </span>
      <Button
        icon="pi pi-times"
        text
        rounded
        size="small"
        severity="secondary"
        :aria-label="`Take away ${said(entry)}`"
        @click="synonyms = synonyms.filter((_, other) => other !== n)"
      />
    </li>
    <li v-if="synonyms.length > shown.length" class="quiet">
      {{ counted(synonyms.length, 'entry', 'entries') }} in all
    </li>
  </ul>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
  <p class="quiet" role="status">{{ result }}</p>
  <TableFiles :file="synonyms.length > 0 ? api.synonymsFile(search) : null" @read="readIn" />
</template>

<style scoped>
.adding {
  display: grid;
  gap: 8px;
  justify-items: start;
  width: 100%;
}
.adding .line {
  width: 100%;
}
.adding input {
  width: 0;
  min-width: 0;
}
.filter {
  margin-top: 8px;
  width: 100%;
}
.entries {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  max-height: 240px;
  overflow-y: auto;
  width: 100%;
}
.entries li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 34px;
  border-bottom: 1px solid var(--line);
  font-size: 14px;
  overflow-wrap: anywhere;
}
.entries small {
  display: block;
  font-size: 12.5px;
}
</style>

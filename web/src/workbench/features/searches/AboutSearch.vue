<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { SearchSummary } from '../../../shared/contract'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import type { DraftEditing } from './useDraft'
import { useDesignRules } from '../design-rules/useDesignRules'

/** What a search is called, by visitors and in tags, and what it is for. */
const { draft, summary } = defineProps<{ draft: DraftEditing; summary: SearchSummary }>()
const shown = defineModel<boolean>({ required: true })
const router = useRouter()
const queries = useQueryClient()
const { busy, wrong, attempt } = useAttempt()
const name = ref('')
const key = ref('')
const purpose = ref('')
const { data: former } = useQuery({
  queryKey: ['search', () => summary.key, 'former-keys'],
  queryFn: () => api.formerKeys(summary.key),
  enabled: shown,
})
watch(shown, () => {
  name.value = draft.design.value?.name ?? ''
  key.value = summary.key
  purpose.value = summary.purpose ?? ''
  wrong.value = ''
})
const isComplete = computed(() => name.value.trim() !== '' && key.value.trim() !== '')

async function keep() {
  const called = name.value.trim()
  draft.change('name', now => ({ ...now, name: called }))
  if ((await draft.settle()) === null) {
    wrong.value = 'The name is not kept. Close this, and try it again.'
    return
  }
  const done = await attempt(async () => {
    await api.changeAbout(summary.key, { key: key.value.trim(), purpose: purpose.value })
    await queries.invalidateQueries()
  })
  if (!done) return
  shown.value = false
  const now = key.value.trim()
  if (now !== summary.key) await router.replace(`/${summary.site}/searches/${now}/what-is-searched`)
}
const end = (one: string) =>
  attempt(async () => {
    await api.endFormerKey(summary.key, one)
    await queries.invalidateQueries({ queryKey: ['search', summary.key, 'former-keys'] })
  })
const { limit } = useDesignRules()
</script>

<template>
  <Dialog v-model:visible="shown" modal header="Name, key and purpose" :draggable="false" :style="{ width: '520px' }">
    <form id="about-search" @submit.prevent="keep">
      <div class="field">
        <label for="about-name">Name</label>
        <InputText id="about-name" v-model="name" :maxlength="limit('name')?.most" required autofocus />
        <small class="quiet"
          >Visitors read it as the title of the page that is hosted here, once it is published.</small
        >
      </div>
      <div class="field">
        <label for="about-key">Key</label>
        <InputText id="about-key" v-model="key" maxlength="40" required spellcheck="false" autocapitalize="off" />
        <small class="quiet">It stands in the tags. Tags with the key of before go on working.</small>
      </div>
      <ul v-if="former && former.length > 0" class="entries" aria-label="Keys of before">
        <li v-for="one in former" :key="one">
          <span>
            <code>{{ one }}</code>
            <small class="quiet">leads here, too</small>
          </span>
          <Button
            label="End it"
            size="small"
            severity="secondary"
            text
            :aria-label="`End the key ${one}`"
            title="Tags that still carry it find nothing from then on"
            @click="end(one)"
          />
        </li>
      </ul>
      <div class="field">
        <label for="about-purpose">What it is for</label>
        <Textarea
          id="about-purpose"
          v-model="purpose"
          rows="2"
          maxlength="300"
          placeholder="For those who work on this site; visitors do not read it"
        />
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    </form>
    <template #footer>
      <Button label="Leave it" severity="secondary" text @click="shown = false" />
      <Button type="submit" form="about-search" label="Keep" :disabled="!isComplete" :loading="busy" />
    </template>
  </Dialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 16px;
}
.field {
  display: grid;
  gap: 4px;
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { KindOfSite, SearchSummary } from '../../../shared/contract'
import ChoiceField from '../../kit/ChoiceField.vue'
import FileButton from '../../kit/FileButton.vue'
import { counted } from '../../kit/format'
import LoadFailure from '../../kit/LoadFailure.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import ProposedParts from './ProposedParts.vue'
import SearchedCollections from './SearchedCollections.vue'
import { useProposal } from './useProposal'
import { useDesignRules } from '../design-rules/useDesignRules'

/** A new search: as its site's content suggests, as a copy of another, or with nothing decided. */
const { site, copy } = defineProps<{
  site: string
  /** Key of a search to be copied. */
  copy?: string
}>()
const router = useRouter()
const queries = useQueryClient()
const { proposal, error, refetch, kind, choices, setPart, setCollection } = useProposal(() => site)
const { data: searches } = useQuery({ queryKey: ['searches', () => site], queryFn: () => api.searches(site) })

const name = ref('')
const from = ref<'proposal' | 'copy' | 'nothing'>(copy ? 'copy' : 'proposal')
const copied = ref(copy ?? '')
const beginnings = computed(() => [
  { value: 'proposal' as const, label: 'Proposed' },
  ...((searches.value?.length ?? 0) > 0 ? [{ value: 'copy' as const, label: 'Copied' }] : []),
  { value: 'nothing' as const, label: 'Empty' },
])
const copies = computed(() => (searches.value ?? []).map(one => ({ value: one.key, label: one.name })))
/** What a list of choices holds for what the content tells. */
const AS_TOLD = 'as-told'
const kinds = computed<{ value: KindOfSite | typeof AS_TOLD; label: string }[]>(() => [
  { value: AS_TOLD, label: `${proposal.value?.kinds.find(one => one.key === proposal.value?.told)?.said}, it seems` },
  ...(proposal.value?.kinds ?? []).map(one => ({ value: one.key, label: one.said })),
])
const isEmpty = computed(() => proposal.value?.collections.every(one => one.items === 0) ?? false)
const onCount = computed(() => proposal.value?.parts.filter(part => part.on).length ?? 0)
const isReady = computed(() => from.value !== 'copy' || copied.value !== '')

const { busy, wrong, attempt } = useAttempt()
const open = (make: () => Promise<SearchSummary>) =>
  attempt(async () => {
    const made = await make()
    await queries.invalidateQueries({ queryKey: ['searches'] })
    await router.push(`/${site}/searches/${made.key}/what-is-searched`)
  })
const make = () =>
  open(() =>
    api.addSearch(site, {
      name: name.value,
      proposal: from.value === 'proposal' ? choices.value : null,
      copyOf: from.value === 'copy' ? copied.value : null,
    }),
  )
const { limit } = useDesignRules()
</script>

<template>
  <main class="page">
    <RouterLink class="back" :to="`/${site}/searches`">
      <i class="pi pi-arrow-left" aria-hidden="true" />
      Searches
    </RouterLink>
    <div class="page-head">
      <div>
        <h1>New search</h1>
        <p class="lead">It fits what your site holds from the start. Everything can be changed afterwards.</p>
      </div>
    </div>
    <div class="sides">
      <form class="slip" @submit.prevent="make">
        <div class="field">
          <label for="search-name">Name</label>
          <InputText
            id="search-name"
            v-model="name"
            required
            :maxlength="limit('name')?.most"
            aria-describedby="name-help"
            autofocus
          />
          <small id="name-help">For you; it also makes the key in the tag.</small>
        </div>
        <ChoiceField v-model="from" label="Begin" :options="beginnings" buttons />
        <ChoiceField
          v-if="from === 'copy'"
          v-model="copied"
          label="Copy of"
          :options="copies"
          placeholder="Which search?"
        />
        <template v-if="from === 'proposal' && proposal && !isEmpty">
          <ChoiceField
            label="Your site is"
            :options="kinds"
            :model-value="kind ?? AS_TOLD"
            @update:model-value="kind = $event === AS_TOLD ? null : $event"
          />
          <SearchedCollections :collections="proposal.collections" @set="setCollection" />
        </template>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <div class="row">
          <Button type="submit" label="Make it" :loading="busy" :disabled="!isReady" />
          <span class="quiet">or</span>
          <FileButton label="Read a saved design" accept=".json" @chosen="open(() => api.addDesign(site, $event))" />
        </div>
      </form>
      <section v-if="from === 'proposal'" class="slip proposed" aria-labelledby="proposed">
        <h2 id="proposed">What is proposed</h2>
        <LoadFailure v-if="error" :error="error" @again="refetch()" />
        <p v-else-if="isEmpty" class="quiet">
          Nothing yet: your site holds no content.
          <RouterLink :to="`/${site}/content`">Bring content in</RouterLink>
          first, and there is something to propose from.
        </p>
        <template v-else-if="proposal">
          <p class="quiet" role="status">
            {{ counted(onCount, 'decision') }}, each with why. Switch off what you would do otherwise.
          </p>
          <ProposedParts :parts="proposal.parts" @set="setPart" />
        </template>
        <p v-else class="quiet" role="status">Looking at your content…</p>
      </section>
      <p v-else class="quiet aside">
        {{
          from === 'copy'
            ? 'All that was decided in that search, as its draft has it. Its versions, trials and counts stay where they are.'
            : 'Everything on your site is searched, titles count most, results stand as plain cards. Nothing else is decided.'
        }}
      </p>
    </div>
  </main>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 380px 1fr;
  gap: 20px;
  align-items: start;
}
form {
  position: sticky;
  top: 20px;
  display: grid;
  gap: 16px;
  padding: 20px 24px;
}
.proposed {
  padding: 20px 24px 8px;
}
.proposed > h2 + p {
  margin: 4px 0 12px;
}
.aside {
  padding: 20px 4px;
  max-width: 52ch;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
  form {
    position: static;
  }
}
</style>

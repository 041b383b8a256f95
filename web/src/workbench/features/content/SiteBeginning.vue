<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import SampleWay from '../entrance/SampleWay.vue'
import FoundSources from '../sources/FoundSources.vue'
import { useSurvey } from '../sources/useSurvey'
import { ORIGINS } from '../sources/sourceKinds'

/** A site without content: what its own pages offer, best first, and the other ways to bring something in. */
const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { data: here } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site),
})
const { data: survey, isFetching } = useSurvey(() => site)
const others = computed(() =>
  ORIGINS.filter(one => !survey.value?.sources.some(found => found.settings.kind === one.kind)),
)

const { busy, wrong, attempt } = useAttempt()
const change = (changed: { name?: string; address?: string }) =>
  attempt(async () => {
    const { name, address, origins, timeZone } = here.value!
    await api.changeSite(site, { name, address, origins, timeZone, ...changed })
    await queries.invalidateQueries({ queryKey: ['sites'] })
  })
/** What the site calls itself, where that is not what its owner does. */
const otherName = computed(() => {
  const said = survey.value?.name ?? ''
  return said === here.value?.name ? '' : said
})
const worn = ref('')
const wear = () =>
  attempt(async () => {
    await api.changeSiteLook(site, await api.lookLike(site, `${here.value!.address}/`))
    worn.value = 'Your searches wear your site’s colours and type. Change that under Site.'
  })
</script>

<template>
  <section class="slip beginning" aria-labelledby="beginning">
    <h2 id="beginning">Bring in what your site has</h2>
    <p class="lead" role="status">
      <template v-if="isFetching">Looking at {{ here?.address }}…</template>
      <template v-else-if="survey && survey.sources.length > 0">
        This was found at {{ here?.address }}. You see what is there before anything is taken.
      </template>
      <template v-else>You see what is there before anything is taken.</template>
    </p>
    <RemarkLine v-if="survey?.problem">{{ survey.problem }}</RemarkLine>
    <RemarkLine v-if="survey?.leadsTo">
      {{ here?.address }} leads to {{ survey.leadsTo }}.
      <Button
        label="Take that address"
        size="small"
        severity="secondary"
        outlined
        :loading="busy"
        @click="change({ address: survey.leadsTo })"
      />
    </RemarkLine>
    <RemarkLine v-if="otherName">
      Your site calls itself “{{ otherName }}”.
      <Button
        label="Call it so"
        size="small"
        severity="secondary"
        outlined
        :loading="busy"
        @click="change({ name: otherName.slice(0, 80) })"
      />
    </RemarkLine>
    <FoundSources :site="site" :sources="survey?.sources ?? []" :language="survey?.language ?? ''" />
    <div v-if="survey && !survey.problem" class="worn">
      <Button
        label="Wear my site’s colours"
        icon="pi pi-palette"
        size="small"
        severity="secondary"
        outlined
        :loading="busy"
        @click="wear"
      />
      <span class="quiet" role="status">{{ worn || 'Taken from your first page; only what can be read.' }}</span>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <h3>{{ survey && survey.sources.length > 0 ? 'Or bring it in otherwise' : 'Where is it?' }}</h3>
    <ul class="ways">
      <li v-for="one in others" :key="one.kind">
        <RouterLink :to="`/${site}/sources/new?kind=${one.kind}`">
          <i class="pi" :class="one.icon" aria-hidden="true" />
          <b>{{ one.name }}</b>
          <small class="quiet">{{ one.what }}</small>
        </RouterLink>
      </li>
    </ul>
    <SampleWay />
  </section>
</template>

<style scoped>
.beginning {
  padding: 24px 32px 32px;
  display: grid;
  gap: 16px;
}
.beginning > h2 + .lead {
  margin: -12px 0 0;
}
.worn {
  display: flex;
  align-items: center;
  gap: 12px;
}
.ways {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 12px;
}
.ways a {
  display: grid;
  gap: 2px;
  height: 100%;
  padding: 14px 16px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  color: inherit;
  text-decoration: none;
}
.ways a:hover {
  background: var(--leaf);
}
.ways .pi {
  font-size: 18px;
  color: var(--sea);
  margin-bottom: 4px;
}
</style>

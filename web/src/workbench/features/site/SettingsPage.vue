<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { api } from '../../ownerApi'
import AccessKeys from './AccessKeys.vue'
import DeletingSite from './DeletingSite.vue'
import InstallationCard from './InstallationCard.vue'
import OwnPlaces from './OwnPlaces.vue'
import PasswordForm from './PasswordForm.vue'
import SetUpFile from './SetUpFile.vue'
import { useAccess } from '../../kit/useAccess'
import SitePeople from '../people/SitePeople.vue'
import SiteForm from './SiteForm.vue'
import SiteLook from './SiteLook.vue'

/** A site and the installation that it is in. */
const { site } = defineProps<{ site: string }>()
const { runs, edits, decides } = useAccess(() => site)
const { data: here } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site),
})
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Site</h1>
        <p v-if="!runs" class="lead">
          What this site is called and who works on it, what its searches wear and who may ask them, names of places.
        </p>
        <p v-else class="lead">
          What this site is called and who works on it, what its searches wear and who may ask them, names of places;
          keys for scripts, its set-up as a file, and the installation with its copies.
        </p>
      </div>
      <RouterLink class="p-button p-button-secondary p-button-outlined" :to="`/${site}/history`">
        <i class="pi pi-history" aria-hidden="true" />
        What happened
      </RouterLink>
    </div>
    <div class="two">
      <fieldset :disabled="!decides"><SiteForm v-if="here" :site="here" class="part" /></fieldset>
      <SitePeople :site="site" />
      <fieldset :disabled="!edits"><SiteLook :site="site" class="part" /></fieldset>
      <AccessKeys v-if="runs" :site="site" />
      <fieldset :disabled="!edits"><OwnPlaces :site="site" /></fieldset>
      <SetUpFile v-if="runs" :site="site" class="part" />
      <DeletingSite v-if="here && decides" :site="site" :name="here.name" />
      <InstallationCard v-if="runs" />
      <PasswordForm />
    </div>
  </main>
</template>

<style scoped>
.two {
  columns: 360px 2;
  column-gap: 20px;
}
.two > * {
  break-inside: avoid;
  margin-bottom: 20px;
}
fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}
.part {
  padding: 20px 24px 24px;
  display: grid;
  gap: 16px;
}
</style>

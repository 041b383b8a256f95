<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { ref } from 'vue'
import type { SetUpMade } from '../../../shared/contract'
import FileButton from '../../kit/FileButton.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** A site's set-up as a file, and a site made of one. */
const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { wrong, attempt } = useAttempt()
const taken = ref<SetUpMade | null>(null)
const bringIn = (document: string) =>
  attempt(async () => {
    taken.value = await api.addSetUp(document)
    await queries.invalidateQueries({ queryKey: ['sites'] })
  })
</script>

<template>
  <section class="slip">
    <h2>Take it elsewhere</h2>
    <p class="lead">
      The set-up holds collections, fields, sources, what you added to items, and the searches. Items stay; each
      collection is saved on its own page.
    </p>
    <div class="row">
      <Button
        as="a"
        :href="api.setUpFile(site)"
        download
        label="Save the set-up"
        icon="pi pi-download"
        severity="secondary"
        outlined
      />
      <FileButton label="Make a site of a set-up" accept=".json" @chosen="bringIn" />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div v-if="taken" class="made" role="status">
      <p>
        <b>The site is made.</b>{{ ' ' }}
        <RouterLink :to="`/${taken.site}/content`">Go to it.</RouterLink>
      </p>
      <p v-for="note in taken.notes" :key="note">{{ note }}</p>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
.made {
  padding: 12px;
  border-radius: 8px;
  background: var(--lamp-wash);
  display: grid;
  gap: 8px;
}
</style>

<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import { onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** The way to a site of made-up content, for those who want to try things first. */
const { atOnce = false } = defineProps<{ /** Whether it is taken as soon as this shows. */ atOnce?: boolean }>()
const router = useRouter()
const queries = useQueryClient()
const { busy, wrong, attempt } = useAttempt()
const take = () =>
  attempt(async () => {
    const sample = await api.takeSample()
    await queries.invalidateQueries({ queryKey: ['sites'] })
    await router.push(`/${sample.key}/searches`)
  })
onMounted(() => (atOnce ? take() : undefined))
</script>

<template>
  <div class="sample">
    <p>
      <b>Only looking?</b> A sample site comes with made-up content, a search that is live and pages with it. One press
      throws it away again.
    </p>
    <Button
      label="Take the sample site"
      icon="pi pi-compass"
      size="small"
      severity="secondary"
      outlined
      :loading="busy"
      @click="take"
    />
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.sample {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}
p {
  margin: 0;
}
</style>

<script setup lang="ts">
import { onErrorCaptured, ref } from 'vue'
import { useRouter } from 'vue-router'
import { RequestFailure } from '../../shared/http'
import { session } from '../features/entrance/session'

const router = useRouter()
const broken = ref('')
onErrorCaptured(error => {
  if (error instanceof RequestFailure && error.status === 401) {
    session.lost()
    void router.push({ path: '/sign-in', query: { to: router.currentRoute.value.fullPath } })
    return false
  }
  broken.value = error.message
  return true
})
</script>

<template>
  <div v-if="broken" class="remark bad" role="alert">
    <i class="pi pi-exclamation-triangle" aria-hidden="true" />
    <span>Something went wrong: {{ broken }} Load the page again; your changes are kept.</span>
  </div>
  <RouterView />
</template>

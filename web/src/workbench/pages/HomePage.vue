<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { RequestFailure } from '../../shared/http'
import { api } from '../ownerApi'

const router = useRouter()
const message = ref('')
/** The workbench opens on the first site; there is always one, made at the first start. */
async function enter() {
  try {
    const first = (await api.sites())[0]
    // A search of nothing says nothing: a new site begins with its content.
    if (first) await router.replace(`/${first.key}/${(await api.collections(first.key)).some(one => one.items > 0) ? 'searches' : 'content'}`)
    else message.value = 'This installation has no site yet. Make one with POST /api/owner/sites.'
  } catch (error) {
    if (!(error instanceof RequestFailure)) throw error
    message.value = error.message
  }
}
onMounted(enter)
</script>

<template>
  <main class="page"><h1 class="unseen">Tidy Lantern</h1><p v-if="message" class="remark bad" role="alert">{{ message }}</p></main>
</template>

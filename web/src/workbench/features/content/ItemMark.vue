<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { ref, watch } from 'vue'
import type { ItemWhole } from '../../../shared/contract'
import SwitchLine from '../../kit/SwitchLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** What the owner adds to an item; it stays through every sync. */
const { site, collection, item } = defineProps<{ site: string; collection: string; item: ItemWhole }>()
const queries = useQueryClient()
const written = () => ({
  keptOut: item.mark.keptOut,
  keywords: item.mark.keywords,
  title: item.mark.title ?? '',
  summary: item.mark.summary ?? '',
  image: item.mark.image ?? '',
  imageAlternative: item.mark.imageAlternative ?? '',
})
const mark = ref(written())
watch(
  () => item,
  () => {
    mark.value = written()
  },
)
const { busy, wrong, attempt } = useAttempt()
const said = ref('')
async function keep() {
  said.value = ''
  const { keptOut, keywords, title, summary, image, imageAlternative } = mark.value
  const kept = await attempt(() =>
    api.mark(site, collection, item.id, {
      keptOut,
      keywords,
      title: title || null,
      summary: summary || null,
      image: image || null,
      imageAlternative: imageAlternative || null,
    }),
  )
  if (!kept) return
  said.value = 'Kept. Searches know it already.'
  await queries.invalidateQueries({ predicate: query => query.queryKey[0] !== 'sites' })
}
async function keepOut(out: boolean) {
  mark.value.keptOut = out
  await keep()
}
/** What the source says, whether or not the owner wrote something in its place. */
function sourced(key: string): string {
  const field = item.fields.find(one => one.key === key)
  return field?.instead ?? field?.text ?? ''
}
</script>

<template>
  <form class="slip" aria-labelledby="yours" @submit.prevent="keep">
    <h2 id="yours">What you add</h2>
    <p class="quiet small">Stays through every sync.</p>
    <SwitchLine label="Keep out of search" :model-value="mark.keptOut" @update:model-value="keepOut" />
    <div class="field">
      <label for="keywords">Keywords</label>
      <InputText id="keywords" v-model="mark.keywords" aria-describedby="keywords-help" />
      <small id="keywords-help">It is found by them too, as by its title. Shown nowhere.</small>
    </div>
    <div class="field">
      <label for="own-title">Title instead</label>
      <InputText id="own-title" v-model="mark.title" :placeholder="sourced('title')" />
    </div>
    <div class="field">
      <label for="own-summary">Summary instead</label>
      <Textarea id="own-summary" v-model="mark.summary" rows="3" auto-resize :placeholder="sourced('summary')" />
    </div>
    <div class="field">
      <label for="own-image">Image instead</label>
      <InputText id="own-image" v-model="mark.image" placeholder="Address of a picture" />
    </div>
    <div v-if="mark.image" class="field">
      <label for="own-alternative">What it shows</label>
      <InputText id="own-alternative" v-model="mark.imageAlternative" />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="line">
      <Button type="submit" label="Keep" :loading="busy" />
      <span class="quiet small" role="status">{{ said }}</span>
    </div>
  </form>
</template>

<style scoped>
.slip {
  padding: 16px 20px;
  display: grid;
  gap: 12px;
}
.small {
  font-size: 13px;
}
</style>

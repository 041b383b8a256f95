<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, reactive, ref } from 'vue'
import { RequestFailure } from '../../shared/http'
import { counted, formatNumber } from '../format'
import { api } from '../ownerApi'
import LoadFailure from '../parts/LoadFailure.vue'

const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { data: collections, error, refetch } = useQuery({ queryKey: ['collections', () => site], queryFn: () => api.collections(site) })
const total = computed(() => (collections.value ?? []).reduce((sum, one) => sum + one.items, 0))

const adding = ref(false)
const given = reactive({ key: '', label: '', language: 'en' })
const wrong = ref('')
async function add() {
  wrong.value = ''
  try {
    await api.putCollection(site, given.key, { label: given.label, language: given.language })
    await queries.invalidateQueries({ queryKey: ['collections'] })
    adding.value = false
    Object.assign(given, { key: '', label: '', language: 'en' })
  } catch (failure) {
    if (!(failure instanceof RequestFailure)) throw failure
    wrong.value = failure.message
  }
}
const pushLine = computed(() => `curl -X PUT ${location.origin}/api/owner/sites/${site}/collections/${collections.value?.[0]?.key ?? 'posts'}/items \\
  -H "Authorization: Bearer YOUR-ACCESS-KEY" -H "Content-Type: application/jsonl" --data-binary @items.jsonl`)
</script>

<template>
  <main class="page">
    <div class="page-head">
      <div>
        <h1>Content</h1>
        <p v-if="collections && collections.length > 0" class="lead">{{ counted(total, 'item') }} in {{ counted(collections.length, 'collection') }}. A search finds what stands here.</p>
      </div>
      <Button label="Add a collection" icon="pi pi-plus" severity="secondary" outlined @click="adding = true" />
    </div>
    <LoadFailure v-if="error" :error="error" @again="refetch()" />
    <ul v-else-if="collections && collections.length > 0" class="collections">
      <li v-for="one in collections" :key="one.key" class="slip">
        <RouterLink :to="`/${site}/content/${one.key}`"><h2>{{ one.label }}</h2></RouterLink>
        <p class="count"><b class="number">{{ formatNumber(one.items) }}</b> {{ one.items === 1 ? 'item' : 'items' }}</p>
        <p class="quiet fields"><span v-for="field in one.fields.slice(0, 9)" :key="field.key">{{ field.label }}</span><span v-if="one.fields.length > 9">and {{ one.fields.length - 9 }} more</span></p>
        <p v-if="one.items === 0" class="quiet">Nothing has been brought in yet.</p>
      </li>
    </ul>
    <section v-else-if="collections" class="slip empty">
      <h2>Bring in what your site has</h2>
      <p class="lead">Begin with a collection: posts, makers, recipes, whatever your site is made of. Then send its items, one JSON object a line.</p>
      <Button label="Add a collection" icon="pi pi-plus" @click="adding = true" />
    </section>
    <section v-if="collections && collections.length > 0" class="push">
      <h2>Bring items in</h2>
      <p class="lead">Send them as JSON Lines: one object a line, each with an <code>id</code>. Fields are made from what comes; an item that is there already is replaced.
        Access keys are under <RouterLink :to="`/${site}/settings`">Site</RouterLink>.</p>
      <pre class="slip" tabindex="0" aria-label="Command that sends items">{{ pushLine }}</pre>
    </section>
    <Dialog v-model:visible="adding" modal header="Add a collection" :draggable="false" :style="{ width: '440px' }">
      <form @submit.prevent="add">
        <div class="field"><label for="label">What visitors read</label><InputText id="label" v-model="given.label" required maxlength="80" placeholder="Recipes" /></div>
        <div class="field"><label for="key">Key</label><InputText id="key" v-model="given.key" required placeholder="recipes" aria-describedby="key-help" /><small id="key-help">For addresses and scripts. Small letters, digits and -.</small></div>
        <div class="field"><label for="language">Language of its texts</label><InputText id="language" v-model="given.language" required aria-describedby="language-help" /><small id="language-help">A tag such as en, de or pt-BR. It decides which forms of a word belong together.</small></div>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <Button type="submit" label="Add it" />
      </form>
    </Dialog>
  </main>
</template>

<style scoped>
.collections { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(320px, 1fr)); gap: 16px; }
.collections li { position: relative; padding: 16px 20px; }
.collections li:hover { border-color: var(--edge); }
.collections a { color: inherit; text-decoration: none; }
.collections a::after { content: ''; position: absolute; inset: 0; border-radius: 10px; }
.collections a:focus-visible { outline: 0; }
.collections a:focus-visible::after { outline: 2px solid var(--sea); outline-offset: 2px; }
.count { margin: 2px 0 10px; }
.count b { font-size: 22px; font-weight: 650; }
.fields { display: flex; flex-wrap: wrap; gap: 2px 12px; font-size: 13px; }
.empty { padding: 32px; display: grid; gap: 12px; justify-items: start; }
.push { margin-top: 40px; }
pre { margin: 12px 0 0; padding: 14px 16px; overflow-x: auto; }
form { display: grid; gap: 16px; }
</style>

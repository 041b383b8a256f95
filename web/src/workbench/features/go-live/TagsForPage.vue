<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import ChoiceField from '../../kit/ChoiceField.vue'
import CopyBox from '../../kit/CopyBox.vue'
import SwitchLine from '../../kit/SwitchLine.vue'
import { api } from '../../ownerApi'
import { useCarryingPages } from '../places/useCarryingPages'
import HowTagsGoIn from './HowTagsGoIn.vue'
import { KINDS_OF_TAG, tagOf, type KindOfTag } from './tags'

/** The lines for a page of the site: the script once, and an element of this search, of others of the site too. */
const { site, search, script } = defineProps<{
  site: string
  search: string
  /** The line that loads the elements. */
  script: string
}>()
const kind = ref<KindOfTag>('tidy-search')
/** A list takes no null; no page is called so. */
const OF_SEARCH = '*'
const carrying = useCarryingPages(() => search)
const pages = computed(() => [{ value: OF_SEARCH, label: 'Its results page' }, ...carrying.value])
const page = ref(OF_SEARCH)
const leadsOn = computed(() => kind.value === 'tidy-search' || kind.value === 'tidy-filters')
const { data: searches } = useQuery({ queryKey: ['searches', () => site], queryFn: () => api.searches(site) })
const others = computed(() => (searches.value ?? []).filter(one => one.key !== search && one.live))
const also = ref<string[]>([])
const put = (other: string, on: boolean) => {
  also.value = on ? [...also.value, other] : also.value.filter(one => one !== other)
}
const tags = computed(() => {
  const resultsPage = leadsOn.value && page.value !== OF_SEARCH ? page.value : null
  return [script, tagOf(kind.value, search, resultsPage), ...also.value.map(one => tagOf(kind.value, one, null))].join(
    '\n\n',
  )
})
</script>

<template>
  <div class="wanted">
    <ChoiceField v-model="kind" label="What stands there" :options="KINDS_OF_TAG" />
    <ChoiceField v-if="leadsOn && carrying.length > 0" v-model="page" label="It leads to" :options="pages" />
    <details v-if="others.length > 0">
      <summary>Other searches on the same page</summary>
      <SwitchLine
        v-for="one in others"
        :key="one.key"
        :label="one.name"
        :hint="one.purpose ?? ''"
        :model-value="also.includes(one.key)"
        @update:model-value="on => put(one.key, on)"
      />
    </details>
  </div>
  <CopyBox label="Tag to put there" :text="tags" />
  <HowTagsGoIn />
</template>

<style scoped>
.wanted {
  display: grid;
  gap: 10px;
  width: 100%;
}
summary {
  cursor: pointer;
}
</style>

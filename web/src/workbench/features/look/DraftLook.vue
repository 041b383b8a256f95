<script setup lang="ts">
import { withAppearance } from '../searches/designParts'
import { useQuery } from '@tanstack/vue-query'
import { inject, onBeforeUnmount, ref, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import type { Look } from '../../../shared/contract'
import LoadFailure from '../../kit/LoadFailure.vue'
import { api } from '../../ownerApi'
import type { DraftEditing } from '../searches/useDraft'
import { STAGE } from '../stage/stageAccess'
import LookEditor from './LookEditor.vue'
import type { Shade } from './lookNames'

/** What one search wears: its site's look, or what it has of its own. The stage's page goes light and dark with it. */
const { draft, search } = defineProps<{ draft: DraftEditing; search: string }>()
const {
  data: choices,
  error,
  refetch,
} = useQuery({ queryKey: ['reach', () => search, 'look'], queryFn: () => api.lookChoices(search), staleTime: 0 })
const site = String(useRoute().params.site)
const shade = ref<Shade>('light')
const stage = inject(STAGE)
watchEffect(() => stage?.value?.ground(shade.value))
onBeforeUnmount(() => stage?.value?.ground('light'))
const put = (look: Look) => draft.change('look', design => withAppearance(design, { look }))
</script>

<template>
  <LoadFailure v-if="error" :error="error" @again="refetch()" />
  <div v-else-if="choices" class="look">
    <LookEditor
      v-model:shade="shade"
      :model-value="draft.design.value!.appearance.look"
      :choices="choices"
      :site-key="site"
      :site="choices.site"
      @update:model-value="put"
    />
  </div>
</template>

<style scoped>
.look {
  display: grid;
  gap: 12px;
  margin-top: 14px;
}
</style>

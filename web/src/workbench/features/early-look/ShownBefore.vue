<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Button from 'primevue/button'
import type { SearchSummary } from '../../../shared/contract'
import CopyBox from '../../kit/CopyBox.vue'
import { formatTime } from '../../kit/format'
import { api } from '../../ownerApi'
import { useDraftLink } from '../stage/useDraftLink'
import EarlyLookWay from './EarlyLookWay.vue'
import ShareOfVisitors from './ShareOfVisitors.vue'
import TestPages from './TestPages.vue'

/** Ways to show the draft to some before all visitors meet it. */
const { site, search } = defineProps<{
  site: string
  search: string
  summary: SearchSummary | null
  /** Sends what of the draft is not kept; null where that fails. */
  settle: () => Promise<string | null>
}>()
const { link, makeAgain } = useDraftLink(search)
const { data: address } = useQuery({
  queryKey: ['sites'],
  queryFn: api.sites,
  select: sites => sites.find(one => one.key === site)?.address,
})
</script>

<template>
  <EarlyLookWay name="To whoever has a link">
    <template v-if="link && address">
      <CopyBox label="Link to the draft on your site" :text="link.to(`${address}/`)" />
      <p class="quiet">
        It holds until {{ formatTime(link.ends) }}, on all pages of the site in that tab, once the tags are there.
        <Button label="End all links, and make another" link size="small" @click="makeAgain" />
      </p>
    </template>
  </EarlyLookWay>
  <TestPages :search="search" />
  <ShareOfVisitors :search="search" :summary="summary" :settle="settle" />
</template>

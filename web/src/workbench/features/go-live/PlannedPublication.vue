<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import type { SearchSummary } from '../../../shared/contract'
import { formatTime } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'

/** A publication at a time to come, and the way to take it back. */
const { search } = defineProps<{ search: string; planned: NonNullable<SearchSummary['planned']> }>()
const queries = useQueryClient()
const { busy, wrong, attempt } = useAttempt()
const takeBack = () =>
  attempt(async () => {
    await api.planNothing(search)
    await queries.invalidateQueries({ queryKey: ['search', search] })
  })
</script>

<template>
  <RemarkLine :bad="planned.failure !== null">
    <template v-if="planned.failure">
      What was planned for {{ formatTime(planned.due) }} was not published. {{ planned.failure }}
    </template>
    <template v-else>
      It is published {{ formatTime(planned.due) }}, as planned by {{ planned.by }}
      <template v-if="planned.why">: “{{ planned.why }}”</template>
    </template>
    <Button :label="planned.failure ? 'I know' : 'Take it back'" link size="small" :loading="busy" @click="takeBack" />
  </RemarkLine>
  <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
</template>

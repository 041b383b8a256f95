<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { Role } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import ShownOnce from '../../kit/ShownOnce.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import { roleInWords, ROLES } from './roles'

/** Makes links by which people join a site, and takes those back that nobody used yet. */
const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { data: waiting } = useQuery({
  queryKey: ['invitations', () => site],
  queryFn: () => api.invitations(site),
  staleTime: 0,
})
const role = ref<Role>('editor')
const made = ref<{ token: string; until: string } | null>(null)
/** Behind the mark, so that no server's log ever has it. */
const link = computed(() => (made.value ? `${location.origin}/workbench/invited#${made.value.token}` : ''))
const { busy, wrong, attempt } = useAttempt()
const again = () => queries.invalidateQueries({ queryKey: ['invitations', site] })
const invite = () =>
  attempt(async () => {
    made.value = await api.invite(site, role.value)
    await again()
  })
const takeBack = (id: number) =>
  attempt(async () => {
    await api.takeInvitationBack(site, id)
    made.value = null
    await again()
  })
</script>

<template>
  <form @submit.prevent="invite">
    <h3>Invite somebody</h3>
    <div class="row">
      <Select
        v-model="role"
        :options="ROLES"
        option-label="label"
        option-value="value"
        aria-label="What they are to be"
        aria-describedby="role-may"
      />
      <Button type="submit" label="Make a link" severity="secondary" outlined :loading="busy" />
    </div>
    <small id="role-may" class="quiet"> Will be {{ roleInWords(role).one }}, who {{ roleInWords(role).may }}. </small>
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
    <ShownOnce v-if="made" :text="link">
      Send this to one person. It works once, until {{ formatDay(made.until) }}, and is shown this once.
    </ShownOnce>
    <ul v-if="waiting && waiting.length > 0" class="entries" aria-label="Invitations that wait">
      <li v-for="one in waiting" :key="one.id">
        <span>
          {{ roleInWords(one.role).label }}, not used yet
          <small class="quiet">made by {{ one.by }}, works until {{ formatDay(one.until) }}</small>
        </span>
        <Button
          label="Take back"
          size="small"
          severity="danger"
          text
          :aria-label="`Take back the invitation of ${formatDay(one.made)} to be ${one.role}`"
          @click="takeBack(one.id)"
        />
      </li>
    </ul>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}
h3 {
  margin: 4px 0 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Select from 'primevue/select'
import type { Person, Role } from '../../../shared/contract'
import { formatDay } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAccess } from '../../kit/useAccess'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import InvitePerson from './InvitePerson.vue'
import { roleInWords, ROLES } from './roles'

/** Who belongs to a site, and what each is there. */
const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { decides } = useAccess(() => site)
const { data: people } = useQuery({
  queryKey: ['people', () => site],
  queryFn: () => api.people(site),
  staleTime: 0,
})
const { busy, wrong, attempt } = useAttempt()
const again = (now: Person[]) => {
  queries.setQueryData(['people', site], now)
  void queries.invalidateQueries({ queryKey: ['access'] })
}
const change = (name: string, role: Role) => attempt(async () => again(await api.changePerson(site, name, role)))
const takeOff = (name: string) => attempt(async () => again(await api.removePerson(site, name)))
const since = (one: Person) => (one.since === null ? 'runs the installation' : `since ${formatDay(one.since)}`)
</script>

<template>
  <section class="slip">
    <h2>People</h2>
    <p class="lead">
      Who works on this site. What each of them changed stands in
      <RouterLink :to="`/${site}/history`">what happened</RouterLink>.
    </p>
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
    <ul v-if="people" class="entries">
      <li v-for="one in people" :key="one.name">
        <span>
          <b>{{ one.name }}</b>
          <small class="quiet">{{ since(one) }}</small>
        </span>
        <template v-if="decides && !one.runsInstallation">
          <Select
            :model-value="one.role"
            :options="ROLES"
            option-label="label"
            option-value="value"
            size="small"
            :disabled="busy"
            :aria-label="`What ${one.name} is here`"
            @update:model-value="role => change(one.name, role)"
          />
          <Button
            label="Take off"
            size="small"
            severity="danger"
            text
            :disabled="busy"
            :aria-label="`Take ${one.name} off this site`"
            @click="takeOff(one.name)"
          />
        </template>
        <small v-else class="quiet">{{ roleInWords(one.role).label }}</small>
      </li>
    </ul>
    <InvitePerson v-if="decides" :site="site" />
  </section>
</template>

<style scoped>
.slip {
  padding: 20px 24px 24px;
  display: grid;
  gap: 16px;
}
</style>

<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import RemarkLine from '../../kit/RemarkLine.vue'
import { useAttempt } from '../../kit/useAttempt'
import { api } from '../../ownerApi'
import { roleInWords } from '../people/roles'
import EntranceCard from './EntranceCard.vue'
import { session } from './session'

/** For whoever opens the link of an invitation: joins as who is signed in, or as somebody new. */
const route = useRoute()
const router = useRouter()
const queries = useQueryClient()
const token = route.hash.slice(1)
const { data: invited, error } = useQuery({
  queryKey: ['invited', token],
  queryFn: () => api.invited(token),
  retry: false,
  staleTime: Infinity,
})
const name = ref('')
const password = ref('')
const signedIn = computed(() => session.known.value?.name ?? null)
const title = computed(() => (invited.value ? `Join ${invited.value.siteName}` : 'An invitation'))
const lead = computed(() =>
  invited.value
    ? `${invited.value.by} invites you to be ${roleInWords(invited.value.role).one}, who ${roleInWords(invited.value.role).may}.`
    : '',
)
const { busy, wrong, attempt } = useAttempt()
const join = () =>
  attempt(async () => {
    const joined = await api.joinSite(
      signedIn.value === null ? { token, name: name.value, password: password.value } : { token },
    )
    session.became({ firstStart: false, name: joined.name })
    await queries.invalidateQueries()
    await router.push(`/${joined.site}/searches`)
  })
</script>

<template>
  <EntranceCard :title="title" :lead="lead">
    <template v-if="error">
      <RemarkLine bad>{{ error.message }}</RemarkLine>
      <p><RouterLink to="/">To the workbench</RouterLink></p>
    </template>
    <form v-else-if="invited" @submit.prevent="join">
      <p v-if="signedIn !== null">
        You are signed in as <b>{{ signedIn }}</b>.
      </p>
      <template v-else>
        <div class="field">
          <label for="name">Your name</label>
          <InputText id="name" v-model="name" autocomplete="username" required maxlength="80" autofocus />
        </div>
        <div class="field">
          <label for="password">A password</label>
          <InputText
            id="password"
            v-model="password"
            type="password"
            autocomplete="new-password"
            required
            aria-describedby="password-hint"
          />
          <small id="password-hint" class="quiet">10 characters or more</small>
        </div>
      </template>
      <p class="wrong" role="alert">{{ wrong }}</p>
      <Button type="submit" label="Join" :loading="busy" fluid />
      <p v-if="signedIn === null" class="quiet">
        Do you sign in here already?
        <RouterLink :to="{ path: '/sign-in', query: { to: `/invited#${token}` } }">Sign in first</RouterLink>, and join
        with that name.
      </p>
    </form>
  </EntranceCard>
</template>

<style scoped>
form {
  display: grid;
  gap: 16px;
  margin-top: 24px;
}
.wrong:empty {
  display: none;
}
</style>
